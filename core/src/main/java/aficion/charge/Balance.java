package aficion.charge;

import aficion.job.Design;
import aficion.job.Part;
import aficion.job.SourceKind;
import aficion.job.Speeds;
import aficion.job.Sums;
import aficion.job.Vehicle;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.netlist.OperatingStates;
import aficion.netlist.SourceCurves;
import aficion.quantity.AmpereHours;
import aficion.quantity.Amps;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import aficion.quantity.Seconds;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import aficion.size.Supply;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;

/**
 * What the source gives against what the loads take, over engine speed. What is on for a share of
 * the time counts for that share. A battery lasts by Peukert's law: 20 h · (C / (20 h · I))^k, of a
 * capacity stated at the twenty-hour rate.
 *
 * @param speeds idle, cruise and top of the engine
 * @param points by rising engine speed, those three among them; one alone where the engine does not
 *     run
 */
public record Balance(
        Situation situation, Speeds speeds, List<Point> points, Optional<Capacity> battery) {
    private static final double STEP = 250;
    private static final double RATE_HOURS = 20;
    private static final double HOUR = 3600;
    private static final Ratio FLAT = new Ratio(0);

    /** Fastest that a car's engine is run, rpm; a motorcycle's 8000, a tractor's 2250 (typical). */
    private static final double CAR = 5500;

    private static final double MOTORCYCLE = 8000;
    private static final double TRACTOR = 2250;

    /** At which a motorcycle idles, rpm, and cruises at 4000; a tractor at 700, 1500 (typical). */
    private static final double MOTORCYCLE_IDLE = 1200;

    private static final double MOTORCYCLE_CRUISE = 4000;
    private static final double TRACTOR_IDLE = 700;
    private static final double TRACTOR_CRUISE = 1500;

    /** Below that a battery is not said to be drained, amps. */
    private static final double NOTHING = 0.001;

    /**
     * An engine speed.
     *
     * @param source what the source can give
     * @param load what the loads take
     * @param net what is left for the battery; less than nothing where it gives
     * @param battery volts across it
     */
    public record Point(Rpm engine, Amps source, Amps load, Amps net, Volts battery) {
        /** What the source can give, watts. */
        public Watts gives() {
            return new Watts(source.value() * battery.value());
        }

        /** What the loads take, watts. */
        public Watts takes() {
            return new Watts(load.value() * battery.value());
        }

        /** What is left for more loads, watts; less than nothing where there is none. */
        public Watts room() {
            return new Watts(net.value() * battery.value());
        }
    }

    /**
     * What the battery holds, and how it shrinks when it is drawn faster.
     *
     * @param stated whether the job says so; else it is what is typical
     */
    public record Capacity(AmpereHours hours, double peukert, boolean stated) {}

    public Balance {
        points = List.copyOf(points);
    }

    /** The balance of a design in a situation, at the speeds of its sort. */
    public static Balance of(Design design, Situation situation) {
        return of(design, situation, Sums.NONE);
    }

    /** The balance of a design in a situation, at the speeds set down for it. */
    public static Balance of(Design design, Situation situation, Sums sums) {
        var solver = new Solver(Netlist.of(design));
        var turns = speeds(design.vehicle(), sums);
        var points = new ArrayList<Point>();
        for (var rpm : speeds(turns, situation)) {
            at(solver, situation, rpm).ifPresent(points::add);
        }
        return new Balance(situation, turns, points, battery(design));
    }

    /** Idle, cruise and top as they are set down, else as engines of the sort mostly have them. */
    public static Speeds speeds(Vehicle vehicle, Sums sums) {
        return sums.speeds()
                .orElseGet(() ->
                        switch (vehicle.sort().orElse(Vehicle.Sort.CAR)) {
                            case CAR ->
                                    new Speeds(
                                            OperatingStates.IDLE,
                                            OperatingStates.ROAD,
                                            new Rpm(CAR));
                            case MOTORCYCLE ->
                                    new Speeds(
                                            new Rpm(MOTORCYCLE_IDLE),
                                            new Rpm(MOTORCYCLE_CRUISE),
                                            new Rpm(MOTORCYCLE));
                            case TRACTOR ->
                                    new Speeds(
                                            new Rpm(TRACTOR_IDLE),
                                            new Rpm(TRACTOR_CRUISE),
                                            new Rpm(TRACTOR));
                        });
    }

    private static SortedSet<Rpm> speeds(Speeds turns, Situation situation) {
        var speeds = new TreeSet<>(Comparator.comparingDouble(Rpm::value));
        if (!situation.turns()) {
            speeds.add(new Rpm(0));
            return speeds;
        }
        speeds.addAll(List.of(turns.idle(), turns.cruise(), turns.top()));
        double fastest = STEP * (Math.floor(turns.top().value() / STEP) + 2);
        for (double rpm = STEP; rpm <= fastest; rpm += STEP) {
            speeds.add(new Rpm(rpm));
        }
        return speeds;
    }

    /**
     * What all batteries hold together: in parallel the sum, of two in series for twice the volts
     * what each does. One that says nothing holds what is typical of its resistance.
     */
    private static Optional<Capacity> battery(Design design) {
        var batteries =
                design.parts().stream()
                        .map(Part::kind)
                        .filter(SourceKind.Battery.class::isInstance)
                        .map(SourceKind.Battery.class::cast)
                        .toList();
        if (batteries.isEmpty()) {
            return Optional.empty();
        }
        double system = design.vehicle().system().value();
        double hours =
                batteries.stream()
                        .mapToDouble(each -> hours(each) * each.nominal().value() / system)
                        .sum();
        var first = batteries.getFirst().capacity();
        return Optional.of(
                new Capacity(
                        new AmpereHours(hours),
                        first.map(kept -> kept.peukert().value())
                                .orElse(SourceCurves.USUAL_PEUKERT),
                        batteries.stream().allMatch(each -> each.capacity().isPresent())));
    }

    private static double hours(SourceKind.Battery battery) {
        return battery.capacity()
                .map(kept -> kept.hours().value())
                .orElseGet(() ->
                        SourceCurves.usualCapacity(
                                battery.nominal().value(), battery.internal().value()));
    }

    /**
     * A speed, with what is on for a share of the time counted for that share. What the source can
     * give is what it gives into a flat battery, which takes all there is. Empty where one of the
     * states cannot be solved.
     */
    private static Optional<Point> at(Solver solver, Situation situation, Rpm rpm) {
        var base = situation.conditions().withEngine(rpm);
        var plain = supply(solver, base);
        var source = situation.turns() ? supply(solver, base.withCharge(FLAT)) : plain;
        if (plain.isEmpty() || source.isEmpty()) {
            return Optional.empty();
        }
        double load = drawn(plain.get());
        double battery = volts(plain.get());
        for (var share : situation.shares()) {
            var worked = supply(solver, base.with(share.control(), share.position()));
            if (worked.isEmpty()) {
                return Optional.empty();
            }
            load += share.share() * (drawn(worked.get()) - drawn(plain.get()));
            battery += share.share() * (volts(worked.get()) - volts(plain.get()));
        }
        double gives = source.get().generated().value();
        return Optional.of(
                new Point(
                        rpm,
                        new Amps(gives),
                        new Amps(load),
                        new Amps(gives - load),
                        new Volts(battery)));
    }

    private static double drawn(Supply supply) {
        return supply.drawn().value();
    }

    private static double volts(Supply supply) {
        return supply.volts().map(Volts::value).orElse(0.0);
    }

    private static Optional<Supply> supply(Solver solver, Conditions conditions) {
        return solver.solve(conditions) instanceof Outcome.Solved(var point)
                ? Optional.of(Supply.of(point))
                : Optional.empty();
    }

    /** The speed from which on the battery gets more than it gives; empty where there is none. */
    public Optional<Rpm> breaksEven() {
        if (points.isEmpty() || points.getLast().net().value() < 0) {
            return Optional.empty();
        }
        for (int i = points.size() - 1; i > 0; i--) {
            double above = points.get(i).net().value();
            double below = points.get(i - 1).net().value();
            if (below < 0) {
                double from = points.get(i - 1).engine().value();
                double to = points.get(i).engine().value();
                return Optional.of(new Rpm(from + (to - from) * -below / (above - below)));
            }
        }
        return Optional.of(points.getFirst().engine());
    }

    /** The point nearest to a speed. */
    public Optional<Point> at(Rpm engine) {
        return points.stream()
                .min(
                        Comparator.comparingDouble(
                                point -> Math.abs(point.engine().value() - engine.value())));
    }

    /**
     * How long the battery lasts that gives what it gives at a point; empty where it gives nothing,
     * or its capacity is not known.
     */
    public Optional<Seconds> lasts(Point point) {
        double gives = -point.net().value();
        return battery.filter(_ -> gives > NOTHING)
                .map(kept -> {
                    double share = kept.hours().value() / (RATE_HOURS * gives);
                    return new Seconds(HOUR * RATE_HOURS * Math.pow(share, kept.peukert()));
                });
    }

    /** Whether it is better told in watts: of a motorcycle, whose accessories are sold by them. */
    public static boolean isInWatts(Vehicle vehicle) {
        return vehicle.sort().filter(sort -> sort == Vehicle.Sort.MOTORCYCLE).isPresent();
    }

    /** The point at idle; empty where the engine does not run. */
    public Optional<Point> idle() {
        return situation.turns() ? at(speeds.idle()) : Optional.empty();
    }

    /** The point at cruise; empty where the engine does not run. */
    public Optional<Point> cruise() {
        return situation.turns() ? at(speeds.cruise()) : Optional.empty();
    }

    /**
     * What is in the battery after a while at a point, as a share of what it holds: less where it
     * gives, more where it is charged, by no more than it takes.
     *
     * @param full what is in it at first
     */
    public Optional<Ratio> after(Point point, Ratio full, Seconds time) {
        return battery.map(kept -> {
            double share =
                    lasts(point)
                            .map(flat -> -time.value() / flat.value())
                            .orElse(
                                    Math.max(0, point.net().value())
                                            * (time.value() / HOUR)
                                            / kept.hours().value());
            return new Ratio(Math.clamp(full.value() + share, 0, 1));
        });
    }

    /**
     * What the battery gains in an hour at a point, ampere-hours; less than nothing where it loses.
     */
    public AmpereHours anHour(Point point) {
        return new AmpereHours(point.net().value());
    }
}
