package aficion.recipe;

import aficion.job.JoinKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.route.StationId;
import java.util.List;
import java.util.Map;

/**
 * What a recipe makes of the answers: parts by the recipe's own names, and leads between them and
 * the vehicle.
 *
 * @param mounts the parts whose case is bolted to the vehicle, and to what
 * @param stands the stations that parts have in a body that has them; the others stand where such
 *     parts mostly do
 * @param moves where leads of the vehicle that end at one place are led to another
 */
public record Fragment(
        List<Part> parts,
        Map<PartId, JoinKind.Mass> mounts,
        Map<PartId, StationId> stands,
        List<Lead> leads,
        List<Move> moves) {
    public Fragment {
        parts = List.copyOf(parts);
        mounts = Map.copyOf(mounts);
        stands = Map.copyOf(stands);
        leads = List.copyOf(leads);
        moves = List.copyOf(moves);
    }

    /** Leads that end at one place led to another. */
    public record Move(Place from, Place to) {}
}
