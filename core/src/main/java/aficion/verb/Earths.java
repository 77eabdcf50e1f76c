package aficion.verb;

import aficion.catalogue.Zone;
import aficion.job.CircuitId;
import aficion.job.End;
import aficion.job.Job;
import aficion.job.JoinKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.edit.Edit;
import aficion.job.edit.Edit.Deed;
import aficion.verb.Attempt.Possible;
import aficion.verb.Attempt.Refusal;
import aficion.verb.Attempt.Refused;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Returns to earth. */
public final class Earths {
    private Earths() {}

    /** The earth points of a job, in its order. */
    public static List<Part> of(Job job) {
        return job.parts().stream()
                .filter(part -> part.kind() instanceof JoinKind.EarthPoint)
                .toList();
    }

    /** An earth point of the body in a zone, else another of the body, else any. */
    static Optional<Part> nearest(Job job, Zone zone) {
        return of(job).stream()
                .min(
                        Comparator.comparing((Part part) ->
                                        part.kind() instanceof JoinKind.EarthPoint point
                                                        && point.mass() == JoinKind.Mass.BODY
                                                ? 0
                                                : 1)
                                .thenComparing(part -> part.zone() == zone ? 0 : 1));
    }

    /** Brings every return of a circuit, wire or case, to one earth point. */
    public static Attempt combine(Job job, CircuitId circuit, PartId earth) {
        if (of(job).size() < 2) {
            return new Refused(Refusal.ONE_EARTH_POINT);
        }
        var to = job.part(earth);
        var edits = new ArrayList<Edit>();
        for (var wire : job.wiresOf(circuit)) {
            boolean strap = isEarth(job, wire.from()) && isEarth(job, wire.to());
            for (boolean first : new boolean[] {true, false}) {
                var end = first ? wire.from() : wire.to();
                if (!strap && isEarth(job, end) && !end.terminal().part().equals(earth)) {
                    edits.add(
                            new Edit.MoveEnd(
                                    wire.id(),
                                    first,
                                    new End(to.terminal("E"), end.termination())));
                }
            }
        }
        for (var part : job.partsOf(circuit)) {
            if (part.mount().filter(at -> !at.equals(earth)).isPresent()) {
                edits.add(new Edit.Mount(part.id(), earth));
            }
        }
        return edits.isEmpty()
                ? new Refused(Refusal.NOTHING_TO_DO)
                : new Possible(new Edit.Together(Deed.COMBINE_EARTHS, edits));
    }

    private static boolean isEarth(Job job, End end) {
        return job.part(end.terminal().part()).kind() instanceof JoinKind.EarthPoint;
    }
}
