package aficion.check;

import aficion.check.finding.About;
import aficion.check.finding.Finding;
import aficion.job.Wire;
import aficion.job.Work;
import aficion.job.edit.Edit;
import aficion.size.Assessment;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What an edit would do, before it is made.
 *
 * @param mended the findings that would be gone
 * @param brought the findings that would come
 * @param changed the wires that would be there otherwise, as they would be
 * @param parts how many parts more there would be; fewer below zero
 */
public record Preview(List<Finding> mended, List<Finding> brought, List<Wire> changed, int parts) {
    public Preview {
        mended = List.copyOf(mended);
        brought = List.copyOf(brought);
        changed = List.copyOf(changed);
    }

    /**
     * The preview of an edit; what the user lets stand is no finding.
     *
     * @throws IllegalArgumentException when it does not fit the design
     */
    public static Preview of(Assessment before, Edit edit, Work work) {
        var design = before.design();
        var next = edit.apply(design);
        var was = open(before, work);
        var is = open(before.after(next), work);
        var old = new HashSet<>(design.wires());
        return new Preview(
                less(was, is),
                less(is, was),
                next.wires().stream().filter(wire -> !old.contains(wire)).toList(),
                next.parts().size() - design.parts().size());
    }

    private static List<Finding> open(Assessment assessment, Work work) {
        return Findings.judged(Findings.of(assessment), work).open();
    }

    private static List<Finding> less(List<Finding> from, List<Finding> away) {
        Set<About> known = away.stream().map(Finding::about).collect(Collectors.toSet());
        return from.stream().filter(finding -> !known.contains(finding.about())).toList();
    }
}
