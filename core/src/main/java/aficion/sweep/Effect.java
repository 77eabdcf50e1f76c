package aficion.sweep;

import aficion.fault.Fault;
import aficion.netlist.Conditions;
import java.util.List;

/**
 * What a fault does in the state where it is worst.
 *
 * @param consequences worst first
 */
public record Effect(Fault fault, Conditions state, List<Consequence> consequences) {
    public Effect {
        consequences = List.copyOf(consequences);
        if (consequences.isEmpty()) {
            throw new IllegalArgumentException("an effect without a consequence");
        }
    }

    /** The worst it does. */
    public Consequence.Danger danger() {
        return consequences.getFirst().danger();
    }
}
