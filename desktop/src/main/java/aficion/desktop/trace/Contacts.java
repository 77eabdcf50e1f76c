package aficion.desktop.trace;

import aficion.diagram.Diagram.Body;
import aficion.diagram.Diagram.Point;
import aficion.diagram.Diagram.Side;
import aficion.job.ControlKind;
import aficion.job.Part;
import aficion.job.SourceKind;
import aficion.netlist.Conditions;
import aficion.quantity.UserUnits;
import aficion.solve.OperatingPoint;
import aficion.words.Words;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;

/** Symbols of what opens and closes, as it really stands. */
final class Contacts extends Sketch {
    private final Conditions conditions;

    Contacts(Part part, Body body, Optional<OperatingPoint> point, Conditions conditions) {
        super(part, body, point);
        this.conditions = conditions;
    }

    /** The symbol of a part that switches. */
    List<Node> of(ControlKind kind) {
        switch (kind) {
            case ControlKind.Switch hand -> hand(hand);
            case ControlKind.Relay _ -> relay("86", "85");
            case ControlKind.LatchingRelay _ -> relay("S", "31");
            case ControlKind.LevelSwitch _ -> levelSwitch();
            case ControlKind.Flasher flasher -> flasher(flasher);
            case ControlKind.Module _ -> boxed(Words.of("trace.module"));
            case ControlKind.IgnitionBox _ -> boxed(Words.of("trace.spark"));
            case ControlKind.Points _ -> points();
        }
        return nodes;
    }

    /** The symbol of a control box: a contact that its own coil moves. */
    List<Node> of(SourceKind.ControlBox box) {
        var dynamo = pin("D");
        var out = pin("A");
        boolean pulled = point.map(solved -> solved.pulledIn(part.id())).orElse(false);
        double y = body.box().y() + 22;
        double hinge = centre() - 16;
        double seat = centre() + 16;
        boolean flows = flows("D-A");
        nodes.add(Ink.polyline(bent(dynamo, hinge, y), live(flows)));
        nodes.add(Ink.polyline(bent(out, seat, y), live(flows)));
        nodes.add(Ink.line(hinge, y, seat, pulled ? y : y - 12, live(flows)));
        nodes.add(Ink.circle(hinge, y, 3, "seat"));
        nodes.add(Ink.circle(seat, y, 3, "seat"));
        double coil = Math.min(body.box().bottom() - 18, y + 34);
        nodes.add(Ink.box(centre() - 13, coil - 8, 26, 16, live(pulled)));
        nodes.add(Ink.line(centre(), coil - 8, centre(), y - (pulled ? 0 : 6), "thin"));
        boxed(UserUnits.METRIC.print(box.setPoint()));
        return nodes;
    }

    private static List<Point> bent(Point from, double x, double y) {
        double knee = from.x() < x ? Math.min(from.x() + 12, x) : Math.max(from.x() - 12, x);
        return List.of(from, new Point(knee, from.y()), new Point(knee, y), new Point(x, y));
    }

    private void flasher(ControlKind.Flasher flasher) {
        var in = pin("49");
        var out = pin("49a");
        boolean flows = flows("49-49a");
        double hinge = in.x() + 26;
        double seat = out.x() - 26;
        nodes.add(Ink.line(in.x(), in.y(), hinge, in.y(), live(flows)));
        nodes.add(Ink.line(seat, out.y(), out.x(), out.y(), live(flows)));
        nodes.add(Ink.line(hinge, in.y(), seat, in.y() - 10, live(flows)));
        nodes.add(Ink.circle(hinge, in.y(), 3, "seat"));
        nodes.add(Ink.circle(seat, out.y(), 3, "seat"));
        boxed(Math.round(flasher.rate()) + " /min");
    }

    private void hand(ControlKind.Switch hand) {
        var rest = hand.positions().getFirst();
        var name = conditions.positions().getOrDefault(hand.control(), rest.name());
        var position = hand.position(name).orElse(rest);
        for (var pin : body.pins()) {
            double inward = pin.side() == Side.LEFT ? 12 : -12;
            nodes.add(Ink.line(pin.at().x(), pin.at().y(), pin.at().x() + inward, pin.at().y()));
            nodes.add(Ink.circle(pin.at().x() + inward, pin.at().y(), 3, "seat"));
            pinName(pin.name(), pin.at());
        }
        for (var contact : position.joins()) {
            var from = body.pin(contact.one());
            var to = body.pin(contact.other());
            if (from.isPresent() && to.isPresent()) {
                double startX =
                        from.get().side() == Side.LEFT
                                ? from.get().at().x() + 12
                                : from.get().at().x() - 12;
                double endX =
                        to.get().side() == Side.LEFT
                                ? to.get().at().x() + 12
                                : to.get().at().x() - 12;
                nodes.add(
                        Ink.line(
                                startX,
                                from.get().at().y(),
                                endX,
                                to.get().at().y(),
                                live(flows(contact.toString()))));
            }
        }
        if (position.joins().isEmpty()) {
            body.pins().stream()
                    .filter(pin -> pin.side() == Side.LEFT)
                    .forEach(pin ->
                            nodes.add(
                                    Ink.line(
                                            pin.at().x() + 12,
                                            pin.at().y(),
                                            centre() + 12,
                                            pin.at().y() - 13)));
        }
        nodes.add(
                Ink.centred(
                        centre(),
                        body.box().bottom() + 9,
                        position.name(),
                        position == rest ? "dim" : "live"));
    }

    private void relay(String coilIn, String coilOut) {
        var common = pin("30");
        var makes = pin("87");
        boolean pulled = point.map(solved -> solved.pulledIn(part.id())).orElse(false);
        double hinge = common.x() + 14;
        double seat = makes.x() - 14;
        nodes.add(Ink.line(common.x(), common.y(), hinge, common.y(), live(flows("30-87"))));
        nodes.add(Ink.line(seat, makes.y(), makes.x(), makes.y(), live(flows("30-87"))));
        nodes.add(Ink.circle(hinge, common.y(), 3, "seat"));
        nodes.add(Ink.circle(seat, makes.y(), 3, "seat"));
        nodes.add(
                Ink.line(
                        hinge,
                        common.y(),
                        seat,
                        pulled ? makes.y() : makes.y() - 13,
                        live(flows("30-87"))));
        body.pin("87a")
                .ifPresent(pin -> {
                    nodes.add(
                            Ink.line(
                                    seat,
                                    pin.at().y(),
                                    pin.at().x(),
                                    pin.at().y(),
                                    live(flows("30-87a"))));
                    nodes.add(Ink.circle(seat, pin.at().y(), 3, "seat"));
                    pinName("87a", pin.at());
                });
        var in = pin(coilIn);
        var out = pin(coilOut);
        nodes.add(Ink.line(in.x(), in.y(), out.x(), out.y(), live(flows("coil") || flows("set"))));
        nodes.add(Ink.box(centre() - 13, in.y() - 8, 26, 16, live(pulled)));
        nodes.add(Ink.line(centre(), in.y() - 8, centre(), common.y() - 4, "thin"));
        for (var pin : body.pins()) {
            if (!pin.name().equals("87a")) {
                pinName(pin.name(), pin.at());
            }
        }
    }

    private void levelSwitch() {
        var in = pin("1");
        var out = pin("31");
        boolean closed = point.map(solved -> solved.closed(part.id(), "1-31")).orElse(false);
        boolean flows = flows("1-31");
        nodes.add(Ink.line(in.x(), in.y(), in.x() + 20, in.y(), live(flows)));
        nodes.add(Ink.line(out.x() - 20, out.y(), out.x(), out.y(), live(flows)));
        nodes.add(
                Ink.line(
                        in.x() + 20,
                        in.y(),
                        out.x() - 20,
                        closed ? in.y() : in.y() - 12,
                        live(flows)));
        nodes.add(Ink.circle(in.x() + 20, in.y(), 3, "seat"));
        nodes.add(Ink.circle(out.x() - 20, out.y(), 3, "seat"));
        nodes.add(Ink.circle(centre(), middle() + 12, 5));
        pinName("1", in);
    }

    private void points() {
        var in = pin("1");
        var out = pin("31");
        boolean flows = flows("body");
        nodes.add(Ink.line(in.x(), in.y(), in.x() + 20, in.y(), live(flows)));
        nodes.add(Ink.line(out.x() - 20, out.y(), out.x(), out.y(), live(flows)));
        nodes.add(Ink.line(in.x() + 20, in.y(), out.x() - 22, in.y() - 9, live(flows)));
        nodes.add(Ink.circle(in.x() + 20, in.y(), 3, "seat"));
        nodes.add(Ink.circle(out.x() - 20, out.y(), 3, "seat"));
        nodes.add(Ink.box(centre() - 6, middle() + 6, 12, 12));
        pinName("1", in);
    }
}
