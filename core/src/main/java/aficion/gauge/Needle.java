package aficion.gauge;

import aficion.catalogue.Senders;
import aficion.job.Design;
import aficion.job.Fill;
import aficion.job.JoinKind;
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
import aficion.solve.OperatingPoint;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

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
 * @param seen ohms that the gauge sees at each of some levels, worked out of the circuit: the
 *     sender with leads, joints, earth, and whatever resistors lie about it
 * @param flows whether current flows through the gauge at all, with the key where it would
 */
public record Needle(
        Part gauge,
        Part sender,
        Sender made,
        Volts feed,
        Optional<Part> stabiliser,
        List<Ohms> seen,
        boolean flows) {
    private static final double[] LEVELS = {
        0, 0.1, 0.2, 0.25, 0.3, 0.4, 0.5, 0.6, 0.7, 0.75, 0.8, 0.9, 1
    };

    /** The needle goes no further beyond the ends of its scale, share of it. */
    private static final double STOP = 0.15;

    /** By how much a needle may be out before it lies, share of its scale (typical). */
    static final double LIES = 0.08;

    /** Less than that does not count as flowing, amps. */
    private static final double FLOWS = 1e-4;

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

    /**
     * What is put beside what the gauge sees: before it and across it, and the volts it runs at.
     */
    public record Beside(Optional<Ohms> series, Optional<Ohms> parallel, Volts feed) {
        double of(double seen) {
            double way = seen + series.map(Ohms::value).orElse(0.0);
            return parallel.map(across -> way * across.value() / (way + across.value()))
                    .orElse(way);
        }
    }

    public Needle {
        seen = List.copyOf(seen);
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
        var sender = at(design, reached(design, gauge.terminal("T")), Sender.class, Set.of("T"));
        return sender.map(found -> {
            var kind = (Sender) found.kind();
            var stabiliser =
                    at(
                            design,
                            Netlist.joined(design, gauge.terminal("B")),
                            Stabiliser.class,
                            Set.of("I"));
            var feed =
                    stabiliser
                            .map(part -> ((Stabiliser) part.kind()).mean())
                            .orElse(design.vehicle().running());
            var lit = lit(solver, gauge, kind.level());
            return new Needle(
                    gauge,
                    found,
                    family((Gauge) gauge.kind(), kind),
                    feed,
                    stabiliser,
                    seen(solver, gauge, kind, lit),
                    lit.isPresent());
        });
    }

    /** What is joined to a terminal, on through resistors. */
    private static Set<Terminal> reached(Design design, Terminal start) {
        var reached = new LinkedHashSet<>(Netlist.joined(design, start));
        var open = new ArrayDeque<>(reached);
        while (!open.isEmpty()) {
            var part = design.part(open.remove().part());
            if (part.kind() instanceof JoinKind.Resistor) {
                for (var pin : part.terminals()) {
                    for (var at : Netlist.joined(design, pin)) {
                        if (reached.add(at)) {
                            open.add(at);
                        }
                    }
                }
            }
        }
        return reached;
    }

    private static Optional<Part> at(
            Design design, Set<Terminal> terminals, Class<?> kind, Set<String> pins) {
        return terminals.stream()
                .filter(each -> pins.contains(each.pin()))
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

    /** U/I at the gauge, level by level; what the sender is where no current flows through it. */
    private static List<Ohms> seen(
            Solver solver, Part gauge, Sender kind, Optional<Conditions> lit) {
        return Arrays.stream(LEVELS)
                .mapToObj(level ->
                        lit.flatMap(state ->
                                        seen(solver, gauge, state.withLevel(kind.level(), level)))
                                .orElse(kind.at(level)))
                .toList();
    }

    private static Optional<Ohms> seen(Solver solver, Part gauge, Conditions state) {
        if (!(solver.solve(state) instanceof Outcome.Solved(var point))) {
            return Optional.empty();
        }
        double amps = Math.abs(amps(point, gauge));
        return point.voltsAt(gauge.terminal("T"))
                .filter(_ -> amps > FLOWS)
                .map(volts -> new Ohms(Math.abs(volts.value()) / amps));
    }

    private static double amps(OperatingPoint point, Part gauge) {
        return point.through(gauge.id(), "body").map(Amps::value).orElse(0.0);
    }

    /** A state in which current flows through the gauge, its sender half way. */
    private static Optional<Conditions> lit(Solver solver, Part gauge, String level) {
        var road = Conditions.REST.withEngine(OperatingStates.ROAD).withLevel(level, 0.5);
        return OperatingStates.keys(solver.netlist().controls(), road).stream()
                .filter(state -> seen(solver, gauge, state).isPresent())
                .findFirst();
    }

    /** As it is built: nothing put beside it. */
    public Beside asBuilt() {
        return new Beside(Optional.empty(), Optional.empty(), feed);
    }

    /** With one more resistor in series and one across. */
    public Beside with(Optional<Ohms> series, Optional<Ohms> parallel) {
        return new Beside(series, parallel, feed);
    }

    /** With other volts at the gauge. */
    public Beside at(Volts other) {
        return new Beside(Optional.empty(), Optional.empty(), other);
    }

    /** What of all that the gauge sees is not the sender itself, its level half way. */
    public Ohms more() {
        return new Ohms(Math.max(0, half() - ((Sender) sender.kind()).at(0.5).value()));
    }

    private double half() {
        return seen.get(Arrays.binarySearch(LEVELS, 0.5)).value();
    }

    /** Where the needle stands at some levels. */
    public List<Point> points(Beside beside) {
        var points = new ArrayList<Point>();
        for (int i = 0; i < LEVELS.length; i++) {
            points.add(new Point(LEVELS[i], shows(seen.get(i).value(), beside)));
        }
        return points;
    }

    /** Where it stands with so many ohms to be seen, by its scale. */
    public double shows(double ohms, Beside beside) {
        double winding = ((Gauge) gauge.kind()).winding().value();
        double amps = beside.feed().value() / (winding + beside.of(ohms));
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
        return shows(half(), with(Optional.of(new Ohms(1)), Optional.empty()))
                - shows(half(), asBuilt());
    }

    /** By how much it shows more where the stabiliser is bridged and all volts get to it. */
    public double unsteadied(Volts running) {
        return shows(half(), at(running)) - shows(half(), asBuilt());
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
