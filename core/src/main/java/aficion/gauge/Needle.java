package aficion.gauge;

import aficion.catalogue.Senders;
import aficion.job.Design;
import aficion.job.Fill;
import aficion.job.JoinKind.Curve;
import aficion.job.JoinKind.CurvePoint;
import aficion.job.JoinKind.Sender;
import aficion.job.JoinKind.Stabiliser;
import aficion.job.LoadKind.Gauge;
import aficion.job.Part;
import aficion.job.Terminal;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.netlist.OperatingStates;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Volts;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * A gauge and the sender it listens to: where the needle stands over the level. The scale is the
 * one it was made for: its family of senders, straight from empty to full, at the volts of its
 * feed.
 *
 * @param gauge the gauge
 * @param sender the sender
 * @param made a sender of the family the scale is made for
 * @param feed the volts it is made to run at: of its stabiliser, or of a vehicle that runs
 * @param stabiliser what feeds it steadily; empty where the vehicle itself does
 * @param more ohms of leads, joints and earth in the way, worked out of the circuit
 */
public record Needle(
        Part gauge, Part sender, Sender made, Volts feed, Optional<Part> stabiliser, Ohms more) {
    private static final double[] LEVELS = {
        0, 0.1, 0.2, 0.25, 0.3, 0.4, 0.5, 0.6, 0.7, 0.75, 0.8, 0.9, 1
    };

    /** The needle goes no further beyond the ends of its scale, share of it. */
    private static final double STOP = 0.15;

    /** By how much a needle may be out before it lies, share of its scale (typical). */
    private static final double LIES = 0.08;

    /**
     * Where the needle stands.
     *
     * @param level what is there, 0 empty or cold to 1 full or hot
     * @param shows what it shows, by its scale
     */
    public record Point(double level, double shows) {
        /** By how much it shows too much, share of its scale. */
        public double error() {
            return shows - level;
        }
    }

    /** What is put beside a sender, or stands in its way: nothing where there is none. */
    public record Beside(Ohms series, Optional<Ohms> parallel, Volts feed) {
        double of(double sender) {
            double way = sender + series.value();
            return parallel.map(across -> way * across.value() / (way + across.value()))
                    .orElse(way);
        }
    }

    /** Every gauge of a design with the sender it listens to. */
    public static List<Needle> of(Design design) {
        var solver = new Solver(Netlist.of(design));
        return design.parts().stream()
                .filter(part -> part.kind() instanceof Gauge)
                .flatMap(part -> of(design, solver, part).stream())
                .toList();
    }

    private static Optional<Needle> of(Design design, Solver solver, Part gauge) {
        var sender = at(design, gauge.terminal("T"), Sender.class);
        return sender.map(found -> {
            var stabiliser = at(design, gauge.terminal("B"), Stabiliser.class);
            var family = family((Gauge) gauge.kind(), (Sender) found.kind());
            double feed =
                    stabiliser
                            .map(part -> ((Stabiliser) part.kind()).mean().value())
                            .orElse(design.vehicle().running().value());
            var plain = new Needle(gauge, found, family, new Volts(feed), stabiliser, new Ohms(0));
            return new Needle(
                    gauge,
                    found,
                    family,
                    new Volts(feed),
                    stabiliser,
                    new Ohms(plain.inTheWay(design, solver)));
        });
    }

    private static Optional<Part> at(Design design, Terminal terminal, Class<?> kind) {
        return Netlist.joined(design, terminal).stream()
                .map(each -> design.part(each.part()))
                .filter(part -> kind.isInstance(part.kind()))
                .min(Comparator.comparing(part -> part.id().value()));
    }

    /** What the gauge says it is made for; where that says no other, what it is joined to. */
    private static Sender family(Gauge gauge, Sender sender) {
        return gauge.family()
                .filter(name -> !sender.family().equals(Optional.of(name)))
                .flatMap(name ->
                        Senders.all().stream().filter(each -> each.name().equals(name)).findFirst())
                .map(other ->
                        new Sender(
                                sender.level(),
                                other.empty(),
                                other.full(),
                                Optional.empty(),
                                Optional.of(other.name())))
                .orElse(sender);
    }

    /** U/I of the feed to the gauge, less what gauge and sender themselves are. */
    private double inTheWay(Design design, Solver solver) {
        var state = lit(design, solver);
        if (state.isEmpty() || !(solver.solve(state.get()) instanceof Outcome.Solved(var point))) {
            return 0;
        }
        double amps = Math.abs(point.through(gauge.id(), "body").map(Amps::value).orElse(0.0));
        var earth = point.voltsAt(sender.terminal("31")).map(Volts::value).orElse(0.0);
        var sensed = point.voltsAt(gauge.terminal("T")).map(Volts::value).orElse(0.0);
        return amps == 0
                ? 0
                : Math.max(0, (Math.abs(sensed - earth) + Math.abs(earth)) / amps - ohms(0.5));
    }

    /** A state in which current flows through the gauge, its sender half way. */
    private Optional<Conditions> lit(Design design, Solver solver) {
        var level = ((Sender) sender.kind()).level();
        return Netlist.of(design).controls().key().stream()
                .flatMap(key ->
                        key.positions().stream()
                                .map(position ->
                                        Conditions.REST
                                                .withEngine(OperatingStates.ROAD)
                                                .with(key.name(), position.name())))
                .map(state -> state.withLevel(level, 0.5))
                .filter(state ->
                        solver.solve(state) instanceof Outcome.Solved(var point)
                                && point.through(gauge.id(), "body")
                                        .filter(amps -> Math.abs(amps.value()) > 1e-4)
                                        .isPresent())
                .findFirst();
    }

    private double ohms(double level) {
        return ((Sender) sender.kind()).at(level).value();
    }

    /** As it is built: nothing put beside the sender. */
    public Beside asBuilt() {
        return new Beside(more, Optional.empty(), feed);
    }

    /** With resistors in series with the sender and across it. */
    public Beside with(Optional<Ohms> series, Optional<Ohms> parallel) {
        double before = series.map(Ohms::value).orElse(0.0);
        return new Beside(new Ohms(more.value() + before), parallel, feed);
    }

    /** With other volts at the gauge. */
    public Beside at(Volts other) {
        return new Beside(more, Optional.empty(), other);
    }

    /** Where the needle stands at some levels. */
    public List<Point> points(Beside beside) {
        var points = new ArrayList<Point>();
        for (double level : LEVELS) {
            points.add(new Point(level, shows(ohms(level), beside)));
        }
        return points;
    }

    /** Where it stands with so many ohms at the sender, by its scale. */
    public double shows(double sender, Beside beside) {
        double winding = ((Gauge) gauge.kind()).winding().value();
        double amps = beside.feed().value() / (winding + beside.of(sender));
        double read = feed.value() / amps - winding;
        return Math.clamp(level(read), -STOP, 1 + STOP);
    }

    /** The level at which a sender of the family shows so many ohms; on beyond both its ends. */
    private double level(double ohms) {
        double falls = Math.signum(made.at(1).value() - made.at(0).value());
        double from = 0;
        for (int i = 1; i < LEVELS.length; i++) {
            double to = LEVELS[i];
            boolean within = falls * (made.at(to).value() - ohms) >= 0;
            if (within || i == LEVELS.length - 1) {
                double one = made.at(from).value();
                double other = made.at(to).value();
                return one == other ? from : from + (to - from) * (ohms - one) / (other - one);
            }
            from = to;
        }
        return from;
    }

    /** The largest error of the needle over the whole way, by amount. */
    public double worst(Beside beside) {
        return points(beside).stream().mapToDouble(each -> Math.abs(each.error())).max().orElse(0);
    }

    /** Whether it is out by more than one would put up with. */
    public boolean lies(Beside beside) {
        return worst(beside) > LIES;
    }

    /** By how much one ohm more in its earth moves it, half way, share of its scale. */
    public double anOhm() {
        return shows(ohms(0.5), with(Optional.of(new Ohms(1)), Optional.empty()))
                - shows(ohms(0.5), asBuilt());
    }

    /** By how much it shows more where the stabiliser is bridged and all volts get to it. */
    public double unsteadied(Volts running) {
        return shows(ohms(0.5), at(running)) - shows(ohms(0.5), asBuilt());
    }

    /**
     * The sender by what it showed: straight between what was read, from the lowest to the highest;
     * empty with fewer than two readings.
     */
    public Optional<Sender> calibrated(List<Fill> fills) {
        if (fills.size() < 2) {
            return Optional.empty();
        }
        var known = (Sender) sender.kind();
        double low = fills.getFirst().level();
        double high = fills.getLast().level();
        var between =
                fills.subList(1, fills.size() - 1).stream()
                        .map(fill ->
                                new CurvePoint(
                                        new Ratio((fill.level() - low) / (high - low)),
                                        fill.shows()))
                        .toList();
        return Optional.of(
                new Sender(
                        known.level(),
                        fills.getFirst().shows(),
                        fills.getLast().shows(),
                        between.isEmpty() ? Optional.empty() : Optional.of(new Curve(between)),
                        known.family()));
    }
}
