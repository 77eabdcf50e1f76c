package aficion.bench.reason;

import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.netlist.Controls.Control;
import aficion.netlist.OperatingStates;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;

/**
 * States in the order in which a driver works them: the engine still, then running; what stays by
 * itself, then what a hand holds, such as the start; key position by key position; each function
 * alone before two together, and each in the order of its positions.
 */
public final class DriversOrder {
    /** From such a share of the most on something is as much. */
    private static final double NEARLY = 0.9;

    private DriversOrder() {}

    /** The first of those, in their order, of which there is the most, or nearly so. */
    public static <T> Optional<T> firstOfMost(List<T> inOrder, ToDoubleFunction<T> amount) {
        double most = inOrder.stream().mapToDouble(amount).max().orElse(0);
        return inOrder.stream()
                .filter(each -> amount.applyAsDouble(each) >= NEARLY * most)
                .findFirst();
    }

    /** The order of a vehicle with such controls. */
    public static Comparator<Conditions> of(Controls controls) {
        var order = Comparator.<Conditions>comparingDouble(state -> state.engine().value());
        if (controls.key().isPresent()) {
            var key = controls.key().get();
            order =
                    order.thenComparing(state -> key.springs(Controls.position(key, state)))
                            .thenComparingInt(state -> index(key, state));
        }
        order =
                order.thenComparing(state -> OperatingStates.isHeld(controls, state))
                        .thenComparingLong(state -> moved(controls, state));
        for (var control : controls.controls()) {
            order = order.thenComparingInt(state -> turn(control, state));
        }
        for (var level : controls.levels()) {
            order = order.thenComparingDouble(state -> state.level(level));
        }
        return order;
    }

    private static int index(Control control, Conditions state) {
        var at = Controls.position(control, state);
        return control.positions().stream().map(each -> each.name()).toList().indexOf(at);
    }

    /** What is moved comes before what is not. */
    private static int turn(Control control, Conditions state) {
        int index = index(control, state);
        return index == 0 ? Integer.MAX_VALUE : index;
    }

    private static long moved(Controls controls, Conditions state) {
        return controls.controls().stream()
                        .filter(control ->
                                !Controls.position(control, state).equals(control.rest()))
                        .count()
                + state.levels().size();
    }
}
