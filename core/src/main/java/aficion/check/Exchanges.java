package aficion.check;

import aficion.job.Job;
import aficion.job.Part;
import aficion.job.edit.Edit;
import java.util.List;

/** The remedy for a part connected the wrong way round. */
final class Exchanges {
    private Exchanges() {}

    /** Exchanges two feeds, where wires lead to both. */
    static List<Edit> feeds(Job job, Part part, String one, String other) {
        boolean wired =
                !job.wiresAt(part.terminal(one)).isEmpty()
                        && !job.wiresAt(part.terminal(other)).isEmpty();
        return wired ? List.of(new Edit.Exchange(part.id(), one, other)) : List.of();
    }

    /** Exchanges two terminals, where wires and not the part's case lead to both. */
    static List<Edit> of(Job job, Part part, String one, String other) {
        boolean wired =
                !job.wiresAt(part.terminal(one)).isEmpty()
                        && !job.wiresAt(part.terminal(other)).isEmpty();
        return wired && part.mount().isEmpty()
                ? List.of(new Edit.Exchange(part.id(), one, other))
                : List.of();
    }
}
