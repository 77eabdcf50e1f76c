package aficion.bench.reason;

import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.netlist.Controls.Control;
import aficion.netlist.OperatingStates;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * States in the order in which a driver works them: the engine still, then running; what stays by
 * itself, then what a hand holds, such as the start; key position by key position; each function
 * alone before two together, and each in the order of its positions.
 */
public final class DriversOrder implements Comparator<Conditions> {
    private final Controls controls;

    public DriversOrder(Controls controls) {
        this.controls = controls;
    }

    @Override
    public int compare(Conditions one, Conditions other) {
        var first = rank(one);
        var second = rank(other);
        for (int i = 0; i < first.size(); i++) {
            int order = Double.compare(first.get(i), second.get(i));
            if (order != 0) {
                return order;
            }
        }
        return 0;
    }

    private List<Double> rank(Conditions state) {
        var rank = new ArrayList<Double>();
        rank.add(state.engine().value());
        rank.add(controls.key().filter(key -> isHeld(key, state)).isPresent() ? 1.0 : 0.0);
        rank.add(controls.key().map(key -> (double) index(key, state)).orElse(0.0));
        rank.add(OperatingStates.isHeld(controls, state) ? 1.0 : 0.0);
        rank.add((double) moved(state));
        controls.controls().forEach(control -> rank.add(turn(control, state)));
        controls.levels().forEach(level -> rank.add(state.level(level)));
        return rank;
    }

    private static boolean isHeld(Control control, Conditions state) {
        return control.springs(Controls.position(control, state));
    }

    private static int index(Control control, Conditions state) {
        var at = Controls.position(control, state);
        return control.positions().stream().map(each -> each.name()).toList().indexOf(at);
    }

    /** What is moved comes before what is not. */
    private static double turn(Control control, Conditions state) {
        int index = index(control, state);
        return index == 0 ? Double.POSITIVE_INFINITY : index;
    }

    private long moved(Conditions state) {
        return controls.controls().stream()
                        .filter(control ->
                                !Controls.position(control, state).equals(control.rest()))
                        .count()
                + state.levels().size();
    }
}
