package aficion.charge;

import aficion.job.Design;
import aficion.job.SourceKind;
import aficion.job.Vehicle;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.AmpereHours;
import aficion.quantity.Amps;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import aficion.quantity.Seconds;
import aficion.quantity.Volts;
import aficion.size.Supply;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What the source gives against what the loads take, over engine speed. What is on for a share of
 * the time counts for that share. A battery lasts by Peukert's law: 20 h · (C / (20 h · I))^k, of a
 * capacity stated at the twenty-hour rate.
 *
 * @param points by rising engine speed; one alone where the engine does not run
 */
public record Balance(Situation situation, List<Point> points, Optional<Capacity> battery) {
    private static final double STEP = 250;
    private static final double RATE_HOURS = 20;
    private static final double HOUR = 3600;
    private static final Ratio FLAT = new Ratio(0);

    /** Fastest that engines of a sort are run, rpm (typical). */
    private static final double CAR = 6000;

    private static final double MOTORCYCLE = 8000;
    private static final double TRACTOR = 2500;

    /** What a car's battery holds, Ah; a motorcycle's 12, a tractor's 90 (typical). */
    private static final double CAR_HOURS = 55;

    private static final double MOTORCYCLE_HOURS = 12;
    private static final double TRACTOR_HOURS = 90;

    /** By which power a battery lasts less the faster it is drawn (typical). */
    private static final double USUAL_PEUKERT = 1.2;

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
    public record Point(Rpm engine, Amps source, Amps load, Amps net, Volts battery) {}

    /**
     * What the battery holds, and how it shrinks when it is drawn faster.
     *
     * @param stated whether the job says so; else it is what is typical
     */
    public record Capacity(AmpereHours hours, double peukert, boolean stated) {}

    public Balance {
        points = List.copyOf(points);
    }

    /** The balance of a design in a situation. */
    public static Balance of(Design design, Situation situation) {
        var solver = new Solver(Netlist.of(design));
        var points = new ArrayList<Point>();
        for (var rpm : speeds(design, situation)) {
            at(solver, situation, rpm).ifPresent(points::add);
        }
        return new Balance(situation, points, battery(design));
    }

    private static List<Rpm> speeds(Design design, Situation situation) {
        if (!situation.turns()) {
            return List.of(new Rpm(0));
        }
        double fastest = fastest(design.vehicle());
        var speeds = new ArrayList<Rpm>();
        for (double rpm = 2 * STEP; rpm <= fastest; rpm += STEP) {
            speeds.add(new Rpm(rpm));
        }
        return speeds;
    }

    private static double fastest(Vehicle vehicle) {
        return switch (vehicle.sort().orElse(Vehicle.Sort.CAR)) {
            case CAR -> CAR;
            case MOTORCYCLE -> MOTORCYCLE;
            case TRACTOR -> TRACTOR;
        };
    }

    private static Optional<Capacity> battery(Design design) {
        return design.parts().stream()
                .filter(part -> part.kind() instanceof SourceKind.Battery)
                .findFirst()
                .map(part ->
                        ((SourceKind.Battery) part.kind())
                                .capacity()
                                .map(kept ->
                                        new Capacity(kept.hours(), kept.peukert().value(), true))
                                .orElseGet(() -> usual(design.vehicle())));
    }

    /** What the battery of a vehicle of a sort mostly holds. */
    private static Capacity usual(Vehicle vehicle) {
        double hours =
                switch (vehicle.sort().orElse(Vehicle.Sort.CAR)) {
                    case CAR -> CAR_HOURS;
                    case MOTORCYCLE -> MOTORCYCLE_HOURS;
                    case TRACTOR -> TRACTOR_HOURS;
                };
        return new Capacity(new AmpereHours(hours), USUAL_PEUKERT, false);
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

    /**
     * What the battery gains in an hour at a point, ampere-hours; less than nothing where it loses.
     */
    public AmpereHours anHour(Point point) {
        return new AmpereHours(point.net().value());
    }
}
