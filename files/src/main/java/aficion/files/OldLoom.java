package aficion.files;

import aficion.change.Proposal;
import aficion.job.Design;
import aficion.job.OldLead;
import aficion.quantity.UserUnits;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * A surveyed loom as parts and wires, by the way a wire list is taken in: an end that names a
 * terminal of the design is that terminal, any other becomes a joint of that name.
 */
public final class OldLoom {
    private OldLoom() {}

    /**
     * What some leads become in a design, as one step.
     *
     * @param circuit what the circuit is called that their wires stand in
     */
    public static WireList.Plan plan(
            List<OldLead> leads, Design design, UserUnits units, String circuit) {
        var columns = new EnumMap<WireList.Column, Integer>(WireList.Column.class);
        var order =
                List.of(
                        WireList.Column.NUMBER,
                        WireList.Column.FROM,
                        WireList.Column.TO,
                        WireList.Column.COLOUR,
                        WireList.Column.SIZE);
        order.forEach(column -> columns.put(column, columns.size()));
        var rows =
                leads.stream()
                        .map(lead ->
                                List.of(
                                        lead.name(),
                                        lead.from(),
                                        lead.to(),
                                        lead.colour().map(colour -> colour.base().key()).orElse(""),
                                        lead.bare()
                                                .map(bare ->
                                                        Proposal.size(bare, design.rules().sizes())
                                                                .toString())
                                                .orElse("")))
                        .toList();
        return new WireList(List.of("number", "from", "to", "colour", "size"), rows)
                .plan(design, Map.copyOf(columns), units, circuit);
    }

    /** All leads as a design of their own, of the same vehicle, with the same parts. */
    public static Design found(
            List<OldLead> leads, Design design, UserUnits units, String circuit) {
        var bare = design.withWires(List.of());
        return plan(leads, bare, units, circuit).edit().apply(bare);
    }
}
