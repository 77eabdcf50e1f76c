package aficion.bench.reason;

import aficion.fault.Fault;
import java.util.ArrayList;
import java.util.List;

/**
 * Something that may be wrong.
 *
 * @param faults what is wrong together; none where nothing is
 * @param weight how often that is met before anything is read, against others
 */
public record Suspect(List<Fault> faults, double weight) {
    /** Nothing is wrong, or nothing that is looked for. */
    static final Suspect NOTHING = new Suspect(List.of(), 3);

    public Suspect {
        faults = List.copyOf(faults);
    }

    /** One fault. */
    Suspect(Fault fault, double weight) {
        this(List.of(fault), weight);
    }

    /** Both at once, so much rarer than either. */
    Suspect with(Suspect other, double rarer) {
        var both = new ArrayList<>(faults);
        both.addAll(other.faults);
        return new Suspect(both, rarer * weight * other.weight);
    }
}
