package aficion.netlist;

import aficion.job.Action;
import aficion.job.CircuitId;
import aficion.job.Job;
import aficion.job.Position;
import aficion.netlist.Controls.Control;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * The states a circuit works in, made systematically: every position of the key, with every
 * combination of the circuit's own other controls. Controls of other circuits stay where the basis
 * has them. Where the combinations would be more than {@value #MOST}, one control moves at a time.
 */
public final class OperatingStates {
    static final int MOST = 512;

    /** Engine speed at which an alternator gives what it can on the road. */
    private static final Rpm ROAD = new Rpm(3000);

    private OperatingStates() {}

    /** The states of a circuit by its key and its own switches; the rest as in the basis. */
    public static List<Conditions> of(Job job, CircuitId circuit, Conditions basis) {
        var moved = new LinkedHashSet<Control>();
        Controls.of(job).key().ifPresent(moved::add);
        moved.addAll(Controls.of(job, circuit).controls());
        long combinations =
                moved.stream()
                        .mapToLong(control -> control.positions().size())
                        .reduce(1, (a, b) -> Math.min(MOST + 1L, a * b));
        return combinations <= MOST ? every(moved, basis) : oneByOne(moved, basis);
    }

    private static List<Conditions> every(Iterable<Control> controls, Conditions basis) {
        var states = List.of(basis);
        for (var control : controls) {
            states = states.stream().flatMap(state -> moving(control, state)).toList();
        }
        return states;
    }

    private static List<Conditions> oneByOne(Iterable<Control> controls, Conditions basis) {
        var states = new ArrayList<Conditions>();
        for (var control : controls) {
            moving(control, basis).forEach(states::add);
        }
        return states;
    }

    private static Stream<Conditions> moving(Control control, Conditions basis) {
        return control.positions().stream()
                .map(position -> basis.with(control.name(), position.name()));
    }

    /**
     * The same state with each source it may meet: battery alone and full; engine on the road with
     * the battery full, and with it flat. A state that a hand has to hold meets the battery alone.
     */
    public static List<Conditions> withSources(Job job, Conditions state) {
        return isHeld(job, state)
                ? List.of(state)
                : List.of(
                        state,
                        state.withEngine(ROAD),
                        state.withEngine(ROAD).withCharge(new Ratio(0)));
    }

    /** Whether some control of the state springs back when it is let go. */
    public static boolean isHeld(Job job, Conditions state) {
        return Controls.of(job).controls().stream()
                .anyMatch(control ->
                        control.position(Controls.position(control, state))
                                .map(Position::springs)
                                .orElse(false));
    }

    /**
     * Every control but the key where it loads the source most and stays by itself, judged one at a
     * time.
     *
     * @param load what the source gives in a state, in amps
     */
    public static Conditions heaviest(
            Job job, Conditions basis, Function<Conditions, Double> load) {
        var state = basis;
        for (var control : Controls.of(job).controls()) {
            if (control.action() == Action.KEY) {
                continue;
            }
            var best = state;
            double most = load.apply(state);
            for (var position : control.positions()) {
                var tried = state.with(control.name(), position.name());
                double drawn = position.springs() ? 0 : load.apply(tried);
                if (drawn > most) {
                    most = drawn;
                    best = tried;
                }
            }
            state = best;
        }
        return state;
    }
}
