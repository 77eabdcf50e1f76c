package aficion.diagram;

import aficion.diagram.Diagram.Body;
import aficion.diagram.Diagram.Point;
import aficion.diagram.Diagram.Side;
import aficion.diagram.Pen.Look;
import aficion.diagram.Phrase.Saying;
import aficion.job.ControlKind;
import aficion.job.Part;
import aficion.job.SourceKind;
import aficion.netlist.Conditions;
import aficion.quantity.UserUnits;
import aficion.solve.OperatingPoint;
import java.util.List;
import java.util.Optional;

/** Symbols of what opens and closes, as it really stands. */
final class Contacts extends Sketch {
    private final Conditions conditions;

    Contacts(Part part, Body body, Optional<OperatingPoint> point, Conditions conditions) {
        super(part, body, point);
        this.conditions = conditions;
    }

    /** The symbol of a part that switches. */
    List<Mark> of(ControlKind kind) {
        switch (kind) {
            case ControlKind.Switch hand -> hand(hand);
            case ControlKind.Relay _ -> relay("86", "85");
            case ControlKind.LatchingRelay _ -> relay("S", "31");
            case ControlKind.LevelSwitch _ -> levelSwitch();
            case ControlKind.Flasher flasher -> flasher(flasher);
            case ControlKind.Module _ -> boxed(said(Saying.MODULE));
            case ControlKind.IgnitionBox _ -> boxed(said(Saying.SPARK));
            case ControlKind.Points _ -> points();
        }
        return marks();
    }

    /** The symbol of a control box: a contact that its own coil moves. */
    List<Mark> of(SourceKind.ControlBox box) {
        var dynamo = pin("D");
        var out = pin("A");
        boolean pulled = point.map(solved -> solved.pulledIn(part.id())).orElse(false);
        double y = body.box().y() + 22;
        double hinge = centre() - 16;
        double seat = centre() + 16;
        boolean flows = flows("D-A");
        polyline(bent(dynamo, hinge, y), live(flows));
        polyline(bent(out, seat, y), live(flows));
        line(hinge, y, seat, pulled ? y : y - 12, live(flows));
        seat(hinge, y);
        seat(seat, y);
        double coil = Math.min(body.box().bottom() - 18, y + 34);
        box(centre() - 13, coil - 8, 26, 16, live(pulled));
        thin(centre(), coil - 8, centre(), y - (pulled ? 0 : 6));
        boxed(UserUnits.METRIC.print(box.setPoint()));
        return marks();
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
        line(in.x(), in.y(), hinge, in.y(), live(flows));
        line(seat, out.y(), out.x(), out.y(), live(flows));
        line(hinge, in.y(), seat, in.y() - 10, live(flows));
        seat(hinge, in.y());
        seat(seat, out.y());
        boxed(Math.round(flasher.rate()) + " /min");
    }

    private void hand(ControlKind.Switch hand) {
        var rest =
                point.map(solved -> solved.netlist().design().positions(hand))
                        .orElse(hand.positions())
                        .getFirst();
        var name = conditions.positions().getOrDefault(hand.control(), rest.name());
        var position = hand.position(name).orElse(rest);
        for (var pin : body.pins()) {
            double inward = pin.side() == Side.LEFT ? 12 : -12;
            line(pin.at().x(), pin.at().y(), pin.at().x() + inward, pin.at().y());
            seat(pin.at().x() + inward, pin.at().y());
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
                line(
                        startX,
                        from.get().at().y(),
                        endX,
                        to.get().at().y(),
                        live(flows(contact.toString())));
            }
        }
        if (position.joins().isEmpty()) {
            body.pins().stream()
                    .filter(pin -> pin.side() == Side.LEFT)
                    .forEach(pin ->
                            line(
                                    pin.at().x() + 12,
                                    pin.at().y(),
                                    centre() + 12,
                                    pin.at().y() - 13));
        }
        centred(
                centre(),
                body.box().bottom() + 9,
                position.name(),
                position == rest ? Look.DIM : Look.LIVE);
    }

    private void relay(String coilIn, String coilOut) {
        var common = pin("30");
        var makes = pin("87");
        boolean pulled = point.map(solved -> solved.pulledIn(part.id())).orElse(false);
        double hinge = common.x() + 14;
        double seat = makes.x() - 14;
        line(common.x(), common.y(), hinge, common.y(), live(flows("30-87")));
        line(seat, makes.y(), makes.x(), makes.y(), live(flows("30-87")));
        seat(hinge, common.y());
        seat(seat, makes.y());
        line(hinge, common.y(), seat, pulled ? makes.y() : makes.y() - 13, live(flows("30-87")));
        body.pin("87a")
                .ifPresent(pin -> {
                    line(seat, pin.at().y(), pin.at().x(), pin.at().y(), live(flows("30-87a")));
                    seat(seat, pin.at().y());
                    pinName("87a", pin.at());
                });
        var in = pin(coilIn);
        var out = pin(coilOut);
        line(in.x(), in.y(), out.x(), out.y(), live(flows("coil") || flows("set")));
        box(centre() - 13, in.y() - 8, 26, 16, live(pulled));
        thin(centre(), in.y() - 8, centre(), common.y() - 4);
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
        line(in.x(), in.y(), in.x() + 20, in.y(), live(flows));
        line(out.x() - 20, out.y(), out.x(), out.y(), live(flows));
        line(in.x() + 20, in.y(), out.x() - 20, closed ? in.y() : in.y() - 12, live(flows));
        seat(in.x() + 20, in.y());
        seat(out.x() - 20, out.y());
        circle(centre(), middle() + 12, 5);
        pinName("1", in);
    }

    private void points() {
        var in = pin("1");
        var out = pin("31");
        boolean flows = flows("body");
        line(in.x(), in.y(), in.x() + 20, in.y(), live(flows));
        line(out.x() - 20, out.y(), out.x(), out.y(), live(flows));
        line(in.x() + 20, in.y(), out.x() - 22, in.y() - 9, live(flows));
        seat(in.x() + 20, in.y());
        seat(out.x() - 20, out.y());
        box(centre() - 6, middle() + 6, 12, 12);
        pinName("1", in);
    }
}
