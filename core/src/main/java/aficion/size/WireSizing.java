package aficion.size;

import aficion.catalogue.Conductor;
import aficion.job.Wire;
import aficion.quantity.Amps;
import aficion.quantity.Volts;
import aficion.solve.OperatingPoint;
import aficion.working.Working;
import java.util.Optional;

/**
 * Whether a wire has the size it needs, and which size that is.
 *
 * @param wire the wire as it is
 * @param steady the largest lasting current
 * @param held the largest current while a hand holds something
 * @param carries what it can carry for good where it runs
 * @param carriesShortly what it can carry for the short time of the house rules
 * @param bears what it stands in a short and carries to the limit of its cover
 * @param drop what the way out and back would lose at this size, held against the house rule
 * @param path the way out and back at the worst
 * @param needed the smallest size that passes; empty when none that is sold does
 * @param reason what decides the size needed
 * @param wayKept whether the way as it is loses no more than it may, whatever this wire would lose
 *     were all of it like it
 */
public record WireSizing(
        Wire wire,
        Amps steady,
        Amps held,
        Working carries,
        Working carriesShortly,
        ShortCircuit bears,
        Working drop,
        FlowPath path,
        Optional<Conductor> needed,
        Reason reason,
        boolean wayKept) {

    /** What decides a size. */
    public enum Reason {
        HEAT,
        DROP,
        STRENGTH
    }

    /** The same in the same state, told of another netlist. */
    WireSizing in(OperatingPoint point) {
        return new WireSizing(
                wire,
                steady,
                held,
                carries,
                carriesShortly,
                bears,
                drop,
                path.in(point),
                needed,
                reason,
                wayKept);
    }

    /** Whether it stays cool enough. */
    public boolean coolEnough() {
        double shortly = Math.max(carries.result().value(), carriesShortly.result().value());
        return steady.value() <= carries.result().value() && held.value() <= shortly;
    }

    /** Whether it loses little enough. */
    public boolean losesLittle() {
        return wayKept || drop.limit().map(Working.Limit::kept).orElse(true);
    }

    /** The volts this wire loses of the way, at the worst. */
    public Volts lost() {
        return new Volts(Math.abs(path.point().lostIn(wire).value()));
    }
}
