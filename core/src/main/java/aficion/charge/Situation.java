package aficion.charge;

import aficion.job.Action;
import aficion.job.Design;
import aficion.job.Sums;
import aficion.job.Usage;
import aficion.job.Usage.Share;
import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.netlist.Controls.Control;
import aficion.netlist.Netlist;
import aficion.netlist.OperatingStates;
import aficion.quantity.Celsius;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import aficion.size.Supply;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * How a vehicle is used: its own switches as they are set for good, and what is worked for a share
 * of the time.
 *
 * @param name by which it is asked for and worded
 * @param conditions the switches that stay
 * @param shares what is worked in between
 * @param turns whether the engine runs
 * @param own whether it is the user's own, called as the user calls it
 */
public record Situation(
        String name, Conditions conditions, List<Share> shares, boolean turns, boolean own) {
    /** In sunshine: ignition, and signals and brakes as they come. */
    public static final String DAY = "day";

    /** All that can be on at once, on a wet night in traffic. */
    public static final String WET_NIGHT = "wet-night";

    /** The starter in frost, the battery not quite full. */
    public static final String CRANKING = "cranking";

    /** Everything off. */
    public static final String PARKED = "parked";

    /** Work lamps on, the engine idling. */
    public static final String WORK = "work";

    /** Where a brake light, a signal, a horn is on, as a share of the time (typical). */
    private static final double BRAKE = 0.15;

    private static final double SIGNAL = 0.1;
    private static final double HORN = 0.01;

    private static final double SOME = 0.05;
    private static final Celsius FROST = new Celsius(-10);
    private static final Ratio NOT_QUITE = new Ratio(0.8);

    public Situation {
        shares = List.copyOf(shares);
    }

    private Situation(String name, Conditions conditions, List<Share> shares, boolean turns) {
        this(name, conditions, shares, turns, false);
    }

    /** The situations of a vehicle, those it knows by its own switches. */
    public static List<Situation> of(Design design) {
        return of(design, Sums.NONE);
    }

    /** The situations of a vehicle: those it knows by its own switches, and the user's own. */
    public static List<Situation> of(Design design, Sums sums) {
        var all = new ArrayList<>(new Search(design).situations());
        sums.usages().forEach(usage -> all.add(of(design, usage)));
        return all;
    }

    /** The user's own, of those controls that the vehicle has. */
    private static Situation of(Design design, Usage usage) {
        var controls = Controls.of(design);
        var state =
                Conditions.REST
                        .withEngine(usage.turns() ? OperatingStates.ROAD : new Rpm(0))
                        .withAir(usage.air());
        for (var set : usage.set().entrySet()) {
            if (has(controls, set.getKey(), set.getValue())) {
                state = state.with(set.getKey(), set.getValue());
            }
        }
        var shares =
                usage.shares().stream()
                        .filter(share -> has(controls, share.control(), share.position()))
                        .toList();
        return new Situation(usage.name(), state, shares, usage.turns(), true);
    }

    private static boolean has(Controls controls, String control, String position) {
        return controls.controls().stream()
                .filter(each -> each.name().equals(control))
                .flatMap(each -> each.positions().stream())
                .anyMatch(each -> each.name().equals(position));
    }

    /** The same with its switches, its air and its engine as they are now. */
    public Situation at(Conditions now) {
        return new Situation(name, now, shares, now.engine().value() > 0, own);
    }

    /** A situation as the user's own, to be kept by a name. */
    public Usage kept(String called) {
        return new Usage(called, conditions.positions(), shares, turns, conditions.air());
    }

    /** One that the vehicle knows by its own switches, by its name. */
    public static Optional<Situation> find(Design design, String name) {
        return find(design, Sums.NONE, name);
    }

    /** A situation by its name; the user's own before those of the vehicle. */
    public static Optional<Situation> find(Design design, Sums sums, String name) {
        var named = of(design, sums).stream().filter(each -> each.name().equals(name)).toList();
        return named.stream()
                .filter(Situation::own)
                .findFirst()
                .or(() -> named.stream().findFirst());
    }

    /** One looking for them. */
    private static final class Search {
        private final Design design;
        private final Controls controls;
        private final Solver solver;

        Search(Design design) {
            this.design = design;
            this.controls = Controls.of(design);
            this.solver = new Solver(Netlist.of(design));
        }

        List<Situation> situations() {
            var found = new ArrayList<Situation>();
            var ready = ready();
            found.add(new Situation(DAY, ready, shares(ready), true));
            var heavy = released(OperatingStates.heaviest(design, ready, this::drawn));
            found.add(new Situation(WET_NIGHT, heavy, shares(heavy), true));
            cranking(ready)
                    .ifPresent(
                            state -> found.add(new Situation(CRANKING, state, List.of(), false)));
            found.add(new Situation(PARKED, Conditions.REST, List.of(), false));
            work(ready).ifPresent(state -> found.add(new Situation(WORK, state, List.of(), true)));
            return found;
        }

        private double drawn(Conditions conditions) {
            return solver.solve(conditions) instanceof Outcome.Solved(var point)
                    ? Supply.of(point).drawn().value()
                    : 0;
        }

        /** The engine can run: key and whatever lets the ignition have current. */
        private Conditions ready() {
            var state = Conditions.REST.withEngine(OperatingStates.ROAD);
            for (var control : controls.controls()) {
                if (isEssential(control)) {
                    state = liveliest(state, control);
                }
            }
            return state;
        }

        /** The position that stays in which most terminals are live; of those, most is drawn. */
        private Conditions liveliest(Conditions state, Control control) {
            return control.positions().stream()
                    .filter(position -> !position.springs())
                    .map(position -> state.with(control.name(), position.name()))
                    .max(Comparator.comparingLong(this::live).thenComparingDouble(this::drawn))
                    .orElse(state);
        }

        private long live(Conditions conditions) {
            double half = design.vehicle().system().value() / 2;
            return solver.solve(conditions) instanceof Outcome.Solved(var point)
                    ? design.parts().stream()
                            .flatMap(part -> part.terminals().stream())
                            .filter(at ->
                                    point.voltsAt(at)
                                            .filter(volts -> Math.abs(volts.value()) > half)
                                            .isPresent())
                            .count()
                    : 0;
        }

        private static boolean isEssential(Control control) {
            return control.action() == Action.KEY
                    || List.of("ignition", "isolator", "kill").contains(control.name());
        }

        /** The position of a control, of those that stay, in which most is drawn. */
        private Conditions heaviest(Conditions state, Control control) {
            var best = state;
            double most = drawn(state);
            for (var position : control.positions()) {
                if (!position.springs()) {
                    var tried = state.with(control.name(), position.name());
                    double draws = drawn(tried);
                    if (draws > most + SOME) {
                        most = draws;
                        best = tried;
                    }
                }
            }
            return best;
        }

        /** What is worked for a share of the time is at rest in between. */
        private Conditions released(Conditions state) {
            var released = state;
            for (var control : controls.controls()) {
                if (share(control) > 0) {
                    released = released.with(control.name(), control.rest());
                }
            }
            return released;
        }

        private List<Share> shares(Conditions state) {
            var shares = new ArrayList<Share>();
            for (var control : controls.controls()) {
                double share = share(control);
                if (share > 0) {
                    control.positions().stream()
                            .filter(position -> !position.name().equals(control.rest()))
                            .filter(position ->
                                    !position.name().equals(Controls.position(control, state)))
                            .findFirst()
                            .ifPresent(position ->
                                    shares.add(new Share(control.name(), position.name(), share)));
                }
            }
            return shares;
        }

        private static double share(Control control) {
            var name = control.name();
            boolean stops = name.equals("stop") && control.action() == Action.PEDAL;
            if (name.contains("brake") || stops) {
                return BRAKE;
            }
            return name.contains("signal") ? SIGNAL : name.contains("horn") ? HORN : 0;
        }

        /** The position of some control, held, in which by far the most is drawn. */
        private Optional<Conditions> cranking(Conditions ready) {
            var still = ready.withEngine(new Rpm(0)).withAir(FROST).withCharge(NOT_QUITE);
            return controls.controls().stream()
                    .flatMap(control ->
                            control.positions().stream()
                                    .filter(position -> position.springs())
                                    .filter(position ->
                                            control.action() == Action.KEY
                                                    || control.name().contains("start"))
                                    .map(position -> still.with(control.name(), position.name())))
                    .max(Comparator.comparingDouble(this::drawn));
        }

        private Optional<Conditions> work(Conditions ready) {
            var idling = ready.withEngine(OperatingStates.IDLE);
            return controls.controls().stream()
                    .filter(control ->
                            control.name().contains("work") || control.name().contains("plough"))
                    .findFirst()
                    .map(control -> heaviest(idling, control))
                    .filter(state -> !state.equals(idling));
        }
    }
}
