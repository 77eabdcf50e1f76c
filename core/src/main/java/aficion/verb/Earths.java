package aficion.verb;

import aficion.catalogue.Zone;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.End;
import aficion.job.JoinKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.edit.CompositeEdit;
import aficion.job.edit.CompositeEdit.Reason;
import aficion.job.edit.Edit;
import aficion.job.edit.PartEdit;
import aficion.job.edit.WireEdit;
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

    /** The earth points of a design, in its order. */
    public static List<Part> of(Design design) {
        return design.parts().stream()
                .filter(part -> part.kind() instanceof JoinKind.EarthPoint)
                .toList();
    }

    /** An earth point of the body in a zone, else another of the body, else any. */
    static Optional<Part> nearest(Design design, Zone zone) {
        return of(design).stream()
                .min(
                        Comparator.comparing((Part part) ->
                                        part.kind() instanceof JoinKind.EarthPoint point
                                                        && point.mass() == JoinKind.Mass.BODY
                                                ? 0
                                                : 1)
                                .thenComparing(part -> part.zone() == zone ? 0 : 1));
    }

    /** Brings every return of a circuit, wire or case, to one earth point. */
    public static Attempt combine(Design design, CircuitId circuit, PartId earth) {
        if (of(design).size() < 2) {
            return new Refused(Refusal.ONE_EARTH_POINT);
        }
        var to = design.part(earth);
        var edits = new ArrayList<Edit>();
        for (var wire : design.wiresOf(circuit)) {
            boolean strap = isEarth(design, wire.from()) && isEarth(design, wire.to());
            for (boolean first : new boolean[] {true, false}) {
                var end = first ? wire.from() : wire.to();
                if (!strap && isEarth(design, end) && !end.terminal().part().equals(earth)) {
                    edits.add(
                            new WireEdit.MoveEnd(
                                    wire.id(),
                                    first,
                                    new End(to.terminal("E"), end.termination())));
                }
            }
        }
        for (var part : design.partsOf(circuit)) {
            if (part.mount().filter(at -> !at.equals(earth)).isPresent()) {
                edits.add(new PartEdit.Mount(part.id(), earth));
            }
        }
        return edits.isEmpty()
                ? new Refused(Refusal.NOTHING_TO_DO)
                : new Possible(new CompositeEdit(Reason.COMBINE_EARTHS, edits));
    }

    private static boolean isEarth(Design design, End end) {
        return design.part(end.terminal().part()).kind() instanceof JoinKind.EarthPoint;
    }
}
