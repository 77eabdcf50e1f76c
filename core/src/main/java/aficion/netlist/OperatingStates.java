package aficion.netlist;

import aficion.job.CircuitId;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.GuardKind;
import aficion.job.Joints;
import aficion.job.Position;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.netlist.Controls.Control;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/**
 * The states a circuit works in, made systematically: every position of the key, with every
 * combination of the circuit's own other controls, of those that meet them at a joint, and of the
 * levels its switches and senders feel. Controls of other circuits stay where the basis has them.
 * Where the combinations would be more than {@value #MOST}, two controls move at a time, so that
 * what lies behind two switches in a row is met, and one where even those would be more.
 */
public final class OperatingStates {
    static final int MOST = 512;

    /** Amps from which one position loads a source more than another. */
    private static final double MORE = 1e-3;

    /** Engine speed at which an alternator gives what it can on the road. */
    public static final Rpm ROAD = new Rpm(3000);

    /** Engine speed at idle (typical of a car). */
    public static final Rpm IDLE = new Rpm(800);

    private OperatingStates() {}

    /** Something that is moved from state to state, and where it can be moved to. */
    private record Mover(String name, List<UnaryOperator<Conditions>> ways) {
        static Mover of(Control control) {
            return of(control, control.positions());
        }

        static Mover of(Control control, List<Position> positions) {
            return new Mover(
                    control.name(),
                    positions.stream()
                            .<UnaryOperator<Conditions>>map(position ->
                                    state -> state.with(control.name(), position.name()))
                            .toList());
        }

        static Mover of(Design design, String level) {
            return new Mover(
                    "level " + level,
                    Controls.values(design, level).stream()
                            .<UnaryOperator<Conditions>>map(
                                    value -> state -> state.withLevel(level, value))
                            .toList());
        }

        Stream<Conditions> from(Conditions basis) {
            return ways.stream().map(way -> way.apply(basis));
        }
    }

    /** The states of a circuit by its key, its own switches and its levels; the rest as given. */
    public static List<Conditions> of(Design design, CircuitId circuit, Conditions basis) {
        var moved = new LinkedHashMap<String, Mover>();
        Stream.of(
                        Controls.of(design).key().stream(),
                        Controls.of(design, circuit).controls().stream(),
                        beside(design, circuit))
                .flatMap(controls -> controls)
                .map(Mover::of)
                .forEach(mover -> moved.putIfAbsent(mover.name(), mover));
        Controls.of(design, circuit).levels().stream()
                .map(level -> Mover.of(design, level))
                .forEach(mover -> moved.putIfAbsent(mover.name(), mover));
        var movers = List.copyOf(moved.values());
        long combinations =
                movers.stream()
                        .mapToLong(mover -> mover.ways().size())
                        .reduce(1, (a, b) -> Math.min(MOST + 1L, a * b));
        return combinations <= MOST ? every(movers, basis) : some(movers, stated(design, basis));
    }

    /**
     * The controls of other circuits whose switches meet this one at a joint: the turn switch where
     * a hazard switch joins both sides. What only shares a feed does not meet.
     */
    private static Stream<Control> beside(Design design, CircuitId circuit) {
        var seen = new LinkedHashSet<Terminal>();
        var controls = new LinkedHashSet<String>();
        for (var wire : design.wiresOf(circuit)) {
            for (var terminal : wire.terminals()) {
                if (seen.contains(terminal)) {
                    continue;
                }
                var joined = Joints.joined(design, terminal);
                seen.addAll(joined);
                if (joined.stream().noneMatch(end -> feeds(design, end))) {
                    joined.stream()
                            .map(end -> design.part(end.part()))
                            .filter(part -> part.kind() instanceof ControlKind.Switch)
                            .map(part -> ((ControlKind.Switch) part.kind()).control())
                            .forEach(controls::add);
                }
            }
        }
        return Controls.of(design).controls().stream()
                .filter(control -> controls.contains(control.name()));
    }

    private static boolean feeds(Design design, Terminal terminal) {
        var kind = design.part(terminal.part()).kind();
        return kind instanceof GuardKind
                || kind instanceof SourceKind
                || kind instanceof ControlKind.Switch hand && design.isKey(hand);
    }

    private static List<Conditions> every(Iterable<Mover> movers, Conditions basis) {
        var states = List.of(basis);
        for (var mover : movers) {
            states = states.stream().flatMap(mover::from).toList();
        }
        return states;
    }

    /** The same, with every control said to be where it is, so that no state is met twice. */
    private static Conditions stated(Design design, Conditions basis) {
        var state = basis;
        for (var control : Controls.of(design).controls()) {
            state = state.with(control.name(), Controls.position(control, basis));
        }
        return state;
    }

    private static List<Conditions> some(List<Mover> movers, Conditions basis) {
        var one = new LinkedHashSet<Conditions>();
        movers.forEach(mover -> mover.from(basis).forEach(one::add));
        var two = new LinkedHashSet<>(one);
        for (int i = 0; i < movers.size() && two.size() <= MOST; i++) {
            for (var other : movers.subList(i + 1, movers.size())) {
                movers.get(i).from(basis).flatMap(other::from).forEach(two::add);
            }
        }
        return List.copyOf(two.size() <= MOST ? two : one);
    }

    /**
     * The same state with each source it may meet: battery alone and full; engine on the road with
     * the battery full, and with it flat. A state that a hand has to hold meets the battery alone.
     */
    public static List<Conditions> withSources(Controls controls, Conditions state) {
        return isHeld(controls, state)
                ? List.of(state)
                : List.of(
                        state,
                        state.withEngine(ROAD),
                        state.withEngine(ROAD).withCharge(new Ratio(0)));
    }

    /**
     * What is left of a state once the key is turned off, or a hand lets go: with the engine still
     * turning and all else left on, with all else off, and standing.
     */
    public static List<Conditions> aftermath(Controls controls, Conditions state) {
        var key = controls.key();
        var standing = Conditions.REST;
        if (isHeld(controls, state)) {
            return List.of(standing.after(state), released(controls, state).after(state));
        }
        var running = state.withEngine(ROAD);
        var off = key.map(found -> running.with(found.name(), found.rest())).orElse(running);
        return List.of(
                off.after(running),
                standing.withEngine(ROAD).after(running),
                standing.after(state));
    }

    /** The same with every control that springs back let go. */
    private static Conditions released(Controls controls, Conditions state) {
        var now = state;
        for (var control : controls.controls()) {
            if (control.springs(Controls.position(control, state))) {
                now = now.with(control.name(), control.sprungBack());
            }
        }
        return now;
    }

    /** A state with the key in each of its positions; as it is where there is no key. */
    public static List<Conditions> keys(Controls controls, Conditions state) {
        return controls.key()
                .map(key ->
                        key.positions().stream()
                                .map(position -> state.with(key.name(), position.name()))
                                .toList())
                .orElse(List.of(state));
    }

    /** The same with the key only where it stays by itself. */
    public static List<Conditions> staying(Controls controls, Conditions state) {
        return keys(controls, state).stream().filter(each -> !isHeld(controls, each)).toList();
    }

    /** Whether the key is where it is in another state; so it is where there is none. */
    public static boolean isSameKey(Controls controls, Conditions one, Conditions other) {
        return controls.key()
                .map(key -> Controls.position(key, one).equals(Controls.position(key, other)))
                .orElse(true);
    }

    /** Whether some control of the state springs back when it is let go. */
    public static boolean isHeld(Controls controls, Conditions state) {
        return held(controls, state) > 0;
    }

    /** How many controls of the state spring back when they are let go. */
    public static int held(Controls controls, Conditions state) {
        int held = 0;
        for (var control : controls.controls()) {
            held += control.springs(Controls.position(control, state)) ? 1 : 0;
        }
        return held;
    }

    /** Whether every control is at rest, no level is moved and the engine stands. */
    public static boolean isAtRest(Controls controls, Conditions state) {
        return state.engine().value() == 0
                && state.levels().isEmpty()
                && controls.controls().stream()
                        .allMatch(control ->
                                Controls.position(control, state).equals(control.rest()));
    }

    /** Whether the key is at rest; where there is none, every control there is. */
    public static boolean isOff(Controls controls, Conditions state) {
        return controls.key()
                .map(key -> Controls.position(key, state).equals(key.rest()))
                .orElseGet(() ->
                        !controls.controls().isEmpty()
                                && controls.controls().stream()
                                        .allMatch(control ->
                                                Controls.position(control, state)
                                                        .equals(control.rest())));
    }

    /**
     * Every control but the key, and every level, where it loads the source most and stays by
     * itself, judged one at a time.
     *
     * @param load what the source gives in a state, in amps
     */
    public static Conditions heaviest(
            Design design, Conditions basis, Function<Conditions, Double> load) {
        return heaviest(design, List.of(basis), load).getFirst();
    }

    /** The same of several states, in their order. */
    public static List<Conditions> heaviest(
            Design design, List<Conditions> bases, Function<Conditions, Double> load) {
        var movers = lasting(design);
        return bases.stream().map(basis -> heaviest(movers, basis, load)).toList();
    }

    private static Conditions heaviest(
            List<Mover> movers, Conditions basis, Function<Conditions, Double> load) {
        var state = basis;
        for (var mover : movers) {
            var best = state;
            double most = load.apply(state);
            for (var tried : mover.from(state).toList()) {
                double drawn = load.apply(tried);
                if (drawn > most + MORE) {
                    most = drawn;
                    best = tried;
                }
            }
            state = best;
        }
        return state;
    }

    private static List<Position> staying(Control control) {
        return control.positions().stream().filter(position -> !position.springs()).toList();
    }

    private static List<Mover> lasting(Design design) {
        var controls = Controls.of(design);
        return Stream.concat(
                        controls.controls().stream()
                                .filter(control -> controls.key().filter(control::equals).isEmpty())
                                .map(control -> Mover.of(control, staying(control))),
                        controls.levels().stream().map(level -> Mover.of(design, level)))
                .toList();
    }
}
