package aficion.bench.reason;

import aficion.netlist.Conditions;
import aficion.netlist.Conditions.FuseSeat;
import aficion.quantity.Amps;
import aficion.size.Guards;
import aficion.size.Metal;
import aficion.size.Supply;
import aficion.solve.OperatingPoint;
import java.util.Optional;

/**
 * A state that must not be tried: a guard opens there, or the battery is shorted.
 *
 * @param guard the guard that opens; empty where none stands before the short
 * @param demand what it would carry, or the battery give
 */
public record Forbidden(Conditions state, Optional<FuseSeat> guard, Amps demand) {

    /**
     * Why a state must not be tried; empty where it may.
     *
     * @param demand the state with every guard held closed
     */
    public static Optional<Forbidden> of(OperatingPoint demand, Metal metal) {
        var state = demand.conditions();
        var opens = Guards.opened(demand);
        if (opens.isPresent()) {
            return opens.map(peak -> new Forbidden(state, Optional.of(peak.seat()), peak.demand()));
        }
        return metal.in(demand).shorted()
                ? Optional.of(new Forbidden(state, Optional.empty(), Supply.of(demand).drawn()))
                : Optional.empty();
    }
}
