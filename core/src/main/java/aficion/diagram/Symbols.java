package aficion.diagram;

import aficion.diagram.Diagram.Body;
import aficion.diagram.Diagram.Point;
import aficion.diagram.Pen.Look;
import aficion.diagram.Phrase.Saying;
import aficion.job.ControlKind;
import aficion.job.Demand;
import aficion.job.GuardKind;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.SourceKind;
import aficion.netlist.Conditions;
import aficion.quantity.UserUnits;
import aficion.quantity.Volts;
import aficion.size.GaugeReading;
import aficion.solve.OperatingPoint;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleSupplier;

/**
 * The inside of a part's body, after IEC 60617, in the state it is in: switches and relays stand as
 * they really stand, lamps glow as they glow.
 */
final class Symbols extends Sketch {
    /** Ways closer than this are drawn as lines. */
    private static final double LEAST_WAY = 20;

    private Symbols(Part part, Body body, Optional<OperatingPoint> point) {
        super(part, body, point);
    }

    static List<Mark> of(
            Part part, Body body, Optional<OperatingPoint> point, Conditions conditions) {
        var symbols = new Symbols(part, body, point);
        symbols.draw(conditions);
        return symbols.marks();
    }

    private void draw(Conditions conditions) {
        switch (part.kind()) {
            case SourceKind.Battery _ -> battery();
            case SourceKind.BenchSupply(var set, _) -> supply(UserUnits.METRIC.print(set));
            case SourceKind.Alternator _ -> turning("G ~");
            case SourceKind.Dynamo _ -> turning("G");
            case SourceKind.Flywheel _ -> turning("~");
            case SourceKind.FieldRegulator(var volts) -> boxed(UserUnits.METRIC.print(volts));
            case SourceKind.ControlBox box ->
                    add(new Contacts(part, body, point, conditions).of(box));
            case SourceKind.RegulatorRectifier(_, var volts) -> rectifier(volts);
            case ControlKind kind -> add(new Contacts(part, body, point, conditions).of(kind));
            case LoadKind.Starter _ -> starter();
            case GuardKind.Fuse fuse -> fuse("", pin("1"), pin("2"), fuse.marking().value());
            case GuardKind.FuseBox(var ways) -> ways.forEach(this::way);
            case LoadKind.Lamp(_, var filaments) ->
                    filaments.forEach(filament -> filament(filament.pin(), pin("31")));
            case LoadKind.WarningLamp _ -> filament("1", pin("2"));
            case LoadKind.LedLamp _ -> filament("+", pin("31"));
            case LoadKind.Motor _ -> circled("M", "+", "31");
            case LoadKind.TwoSpeedMotor _ -> twoSpeeds();
            case LoadKind.WiperMotor _ -> wiper();
            case LoadKind.IgnitionCoil _ -> winding("15", "1");
            case JoinKind.Sender _ -> resistor("T", "31", true);
            case LoadKind.Gauge gauge -> gauge(gauge);
            case LoadKind.Ammeter _ -> meter("A-B", "A", "B", this::ammeterShare);
            case LoadKind.Voltmeter _ -> meter("body", "+", "31", this::voltmeterShare);
            case JoinKind.Stabiliser(var mean) -> stabiliser(UserUnits.METRIC.print(mean));
            case JoinKind.Resistor _ -> resistor("1", "2", false);
            case LoadKind.Heater _ -> resistor("+", "31", false);
            case LoadKind.Magneto _ -> winding("kill", "31");
            case JoinKind.Capacitor _ -> capacitor();
            case JoinKind.Diode _ -> diode();
            case LoadKind.Load load -> circled(demand(load), "+", "31");
            case LoadKind.Buzzer(_, var draws) -> circled(UserUnits.METRIC.print(draws), "+", "31");
            case JoinKind.Splice() -> solid(body.box().x(), body.box().y(), 5);
            case JoinKind.Connector(var ways, _, _) ->
                    ways.forEach(way ->
                            join(
                                    pin(JoinKind.Half.A.pin(way)),
                                    pin(JoinKind.Half.B.pin(way)),
                                    false));
            case JoinKind.EarthPoint _ -> earth(pin("E"));
        }
    }

    private void earth(Point pin) {
        join(pin, new Point(centre(), middle()), false);
        add(Picture.earth(centre(), middle(), pin.x() < centre() ? 1 : -1));
    }

    private void battery() {
        double x = body.box().x() + 24;
        var plus = pin("+");
        var minus = pin("-");
        double step = (minus.y() - plus.y()) / 3;
        boolean flows = flows("output");
        for (int i = 0; i < 4; i++) {
            double y = plus.y() + i * step;
            double half = i % 2 == 0 ? 13 : 7;
            line(x - half, y, x + half, y);
        }
        line(x, plus.y(), plus.x(), plus.y(), live(flows));
        line(x, minus.y(), minus.x(), minus.y(), live(flows));
        pinName("+", plus);
        pinName("-", minus);
    }

    private void supply(String words) {
        circle(body.box().x() + 26, middle(), 19, live(flows("output")));
        centred(body.box().x() + 26, middle(), "=");
        centred(centre(), body.box().bottom() + 9, words, Look.DIM);
        pinNames();
    }

    private void turning(String letters) {
        boolean gives = point.map(solved -> solved.pulledIn(part.id())).orElse(false);
        boolean charging = gives || part.kind() instanceof SourceKind.Flywheel && flows("output");
        circle(centre() - 8, middle() - 4, 19, live(charging));
        centred(centre() - 8, middle() - 4, letters);
        pinNames();
        if (charging) {
            text(body.box().x() + 5, body.box().bottom() - 9, said(Saying.CHARGING), Look.LIVE);
        }
    }

    private void twoSpeeds() {
        var out = pin("31");
        for (var speed : List.of("53", "53b")) {
            var in = pin(speed);
            line(in.x(), in.y(), centre() - 8, middle(), live(flows(speed)));
        }
        boolean turns = flows("53") || flows("53b");
        line(centre(), out.y(), out.x(), out.y(), live(turns));
        circle(centre(), middle(), 18, live(turns));
        centred(centre(), middle(), "M");
        pinNames();
    }

    private double ammeterShare() {
        double range = ((LoadKind.Ammeter) part.kind()).range().value();
        return point.flatMap(solved -> solved.through(part.id(), "A-B"))
                .map(amps -> 0.5 + amps.value() / range / 2)
                .orElse(0.5);
    }

    private double voltmeterShare() {
        double range = ((LoadKind.Voltmeter) part.kind()).range().value();
        return point.flatMap(solved -> solved.across(part.id(), "body"))
                .map(volts -> volts.value() / range)
                .orElse(0.0);
    }

    private void meter(String role, String in, String out, DoubleSupplier share) {
        join(pin(in), pin(out), flows(role));
        needle(share.getAsDouble(), flows(role));
        pinName(in, pin(in));
        pinName(out, pin(out));
    }

    private void capacitor() {
        var in = pin("+");
        var out = pin("31");
        line(in.x(), in.y(), centre() - 4, in.y());
        line(centre() + 4, out.y(), out.x(), out.y());
        line(centre() - 4, in.y() - 12, centre() - 4, in.y() + 12);
        line(centre() + 4, in.y() - 12, centre() + 4, in.y() + 12);
        pinName("+", in);
    }

    private void starter() {
        boolean turns = flows("motor");
        double x = body.box().right() - 27;
        circle(x, middle(), 17, live(turns));
        centred(x, middle(), "M");
        var feed = pin("30");
        double hinge = feed.x() + 14;
        line(feed.x(), feed.y(), hinge, feed.y(), live(turns));
        boolean closed = point.map(solved -> solved.closed(part.id(), "contact")).orElse(false);
        line(hinge, feed.y(), x - 18, closed ? feed.y() + 6 : feed.y() - 8, live(turns));
        var coil = pin("50");
        box(coil.x() + 14, coil.y() - 6, 16, 12, live(flows("coil")));
        line(coil.x(), coil.y(), coil.x() + 14, coil.y(), live(flows("coil")));
        thin(coil.x() + 22, coil.y() - 6, coil.x() + 22, feed.y() + 2);
        pinName("30", feed);
        pinName("50", coil);
    }

    private void filament(String feed, Point back) {
        var in = pin(feed);
        double x = in.x() + 34;
        double bus = back.x() - 14;
        double light =
                point.flatMap(solved -> solved.light(part.id(), feed))
                        .map(share -> share.value())
                        .orElse(0.0);
        boolean flows = flows(feed);
        line(in.x(), in.y(), x - 12, in.y(), live(flows));
        line(x + 12, in.y(), bus, in.y(), live(flows));
        line(bus, in.y(), bus, back.y(), live(flows));
        line(bus, back.y(), back.x(), back.y(), live(flows));
        circle(x, in.y(), 12, live(light > 0.01));
        double arm = 12 * Math.sqrt(0.5);
        line(x - arm, in.y() - arm, x + arm, in.y() + arm);
        line(x - arm, in.y() + arm, x + arm, in.y() - arm);
        boolean shown = light > 0.01;
        if (point.isPresent() && !(part.kind() instanceof LoadKind.WarningLamp)) {
            var words = shown ? new Phrase.Glows(Math.round(light * 100)) : said(Saying.DARK);
            centred(x, in.y() + 18, words, shown ? Look.LIVE : Look.DIM);
        }
        pinName(feed, in);
    }

    private static String demand(LoadKind.Load load) {
        return switch (load.demand()) {
            case Demand.InWatts(var watts) -> UserUnits.METRIC.print(watts);
            case Demand.InAmps(var amps) -> UserUnits.METRIC.print(amps);
        };
    }

    private void circled(String letter, String in, String out) {
        join(pin(in), pin(out), flows("body"));
        circle(centre(), middle(), 18, live(flows("body")));
        centred(centre(), middle(), letter);
        pinName(in, pin(in));
        pinName(out, pin(out));
    }

    /** A motor, and below it the contact that is closed until its blades lie at rest. */
    private void wiper() {
        var feed = pin("53");
        var back = pin("31");
        boolean turns = flows("body");
        line(feed.x(), feed.y(), back.x(), back.y(), live(turns));
        circle(centre(), feed.y(), 18, live(turns));
        centred(centre(), feed.y(), "M");
        var above = pin("53a");
        var below = pin("31b");
        boolean parking = flows("53a-31b");
        boolean shut = point.map(solved -> solved.closed(part.id(), "53a-31b")).orElse(false);
        line(above.x(), above.y(), centre(), above.y(), live(parking));
        line(below.x(), below.y(), centre(), below.y(), live(parking));
        line(centre(), below.y(), shut ? centre() : centre() + 10, above.y(), live(parking));
        seat(centre(), above.y());
        seat(centre(), below.y());
        pinNames();
    }

    private void winding(String in, String out) {
        var from = pin(in);
        var to = pin(out);
        boolean flows = flows("body");
        double left = from.x() + 18;
        double right = to.x() - 18;
        line(from.x(), from.y(), left, from.y(), live(flows));
        line(right, to.y(), to.x(), to.y(), live(flows));
        double step = (right - left) / 4;
        for (int i = 0; i < 4; i++) {
            arch(left + (i + 0.5) * step, from.y(), step / 2, 8, live(flows));
        }
        pinName(in, from);
        pinName(out, to);
    }

    private void resistor(String in, String out, boolean varies) {
        var from = pin(in);
        var to = pin(out);
        boolean flows = flows("body");
        line(from.x(), from.y(), to.x(), to.y(), live(flows));
        box(centre() - 15, from.y() - 6, 30, 12);
        if (varies) {
            line(centre() - 16, from.y() + 13, centre() + 16, from.y() - 13);
            line(centre() + 16, from.y() - 13, centre() + 9, from.y() - 12);
            line(centre() + 16, from.y() - 13, centre() + 14, from.y() - 6);
        }
    }

    private void gauge(LoadKind.Gauge gauge) {
        double share =
                point.map(solved -> GaugeReading.of(solved, part, gauge).value()).orElse(0.0);
        join(pin("B"), pin("T"), flows("body"));
        needle(share, flows("body"));
        centred(
                centre(),
                body.box().bottom() + 9,
                new Phrase.Reads(Math.round(share * 100)),
                flows("body") ? Look.LIVE : Look.DIM);
        pinName("B", pin("B"));
        pinName("T", pin("T"));
    }

    private void needle(double share, boolean flows) {
        circle(centre(), middle(), 18, live(flows));
        double angle = Math.toRadians(220 - 260 * Math.clamp(share, 0, 1.1));
        line(centre(), middle(), centre() + 12 * Math.cos(angle), middle() - 12 * Math.sin(angle));
    }

    private void stabiliser(String words) {
        join(pin("B"), pin("I"), flows("body"));
        box(centre() - 20, pin("B").y() - 8, 40, 16, live(flows("body")));
        centred(centre(), pin("B").y(), words);
        line(centre(), pin("B").y() + 8, centre(), pin("31").y());
        line(centre(), pin("31").y(), pin("31").x(), pin("31").y());
    }

    private void diode() {
        var in = pin("A");
        var out = pin("K");
        line(in.x(), in.y(), out.x(), out.y(), live(flows("A-K")));
        triangle(centre(), in.y());
        line(centre() + 6, in.y() - 7, centre() + 6, in.y() + 7);
    }

    private void way(GuardKind.Way way) {
        if (body.pin(way.in()).isEmpty()) {
            return;
        }
        if (isFolded()) {
            boolean whole = point.map(solved -> solved.closed(part.id(), way.name())).orElse(true);
            var in = pin(way.in());
            var out = pin(way.out());
            var look = whole ? live(flows(way.name())) : Look.WRONG;
            line(in.x(), in.y(), out.x(), out.y(), look);
        } else {
            fuse(way.name(), pin(way.in()), pin(way.out()), way.marking().value());
        }
    }

    /** Whether the ways stand closer than a fuse is high. */
    private boolean isFolded() {
        return body.pins().size() > 2
                && body.pins().get(2).at().y() - body.pins().get(0).at().y() < LEAST_WAY;
    }

    private void fuse(String role, Point in, Point out, double marking) {
        boolean whole = point.map(solved -> solved.closed(part.id(), role)).orElse(true);
        line(in.x(), in.y(), out.x(), out.y(), live(flows(role)));
        var look = whole ? Look.PLAIN : Look.WRONG;
        hollow(in.x() + 11, in.y() - 7, out.x() - in.x() - 22, 14, look);
        if (!whole) {
            line(in.x() + 13, in.y() - 10, out.x() - 13, in.y() + 10, Look.WRONG);
        }
        var words = whole ? new Phrase.Plain(number(marking) + " A") : said(Saying.BLOWN);
        centred((in.x() + out.x()) / 2, in.y() + 19, words, whole ? Look.DIM : Look.WRONG);
    }

    private static String number(double value) {
        return UserUnits.plain(value);
    }

    /** A bridge of four diodes, drawn as one in its square. */
    private void rectifier(Volts volts) {
        double x = centre();
        double y = middle();
        area(
                new Point(x, y - 24),
                new Point(x + 24, y),
                new Point(x, y + 24),
                new Point(x - 24, y));
        triangle(x, y);
        line(x - 16, y, x + 16, y);
        line(x + 6, y - 7, x + 6, y + 7);
        boxed(UserUnits.METRIC.print(volts));
    }
}
