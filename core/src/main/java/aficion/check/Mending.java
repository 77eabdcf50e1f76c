package aficion.check;

import aficion.check.finding.About;
import aficion.check.finding.Finding;
import aficion.check.finding.Severity;
import aficion.job.Figures;
import aficion.job.edit.CompositeEdit;
import aficion.job.edit.Edit;
import aficion.job.edit.PartEdit;
import aficion.size.Assessment;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;

/**
 * What may be offered against a finding: a remedy that, tried on a copy and judged again, mends it
 * and brings no danger and nothing to fix that was not there. Where one edit brings what another
 * mends, they are offered together, as one step.
 */
public final class Mending {
    /** So many edits are one remedy at the most. */
    private static final int MOST = 8;

    private final Assessment before;
    private final Set<About> known;

    private Mending(Assessment before) {
        this.before = before;
        this.known =
                Findings.of(before).stream()
                        .filter(Mending::harms)
                        .map(Finding::about)
                        .collect(Collectors.toSet());
    }

    /** Findings with the remedies that may be offered, and none besides. */
    public static List<Finding> offered(Assessment before, List<Finding> findings) {
        return offered(before, findings, () -> true).orElseThrow();
    }

    /**
     * The same.
     *
     * @param goOn asked before each finding; false ends it early, with nothing
     */
    public static Optional<List<Finding>> offered(
            Assessment before, List<Finding> findings, BooleanSupplier goOn) {
        var mending = new Mending(before);
        var offered = new ArrayList<Finding>();
        for (var finding : findings) {
            if (!goOn.getAsBoolean()) {
                return Optional.empty();
            }
            offered.add(with(finding, mending.remedies(finding)));
        }
        return Optional.of(List.copyOf(offered));
    }

    /** Findings without remedies: what is known before they have been tried. */
    public static List<Finding> withoutRemedies(List<Finding> findings) {
        return findings.stream().map(finding -> with(finding, List.of())).toList();
    }

    private static Finding with(Finding finding, List<Edit> remedies) {
        return finding.remedies().isEmpty()
                ? finding
                : (Finding) Figures.withComponent(finding, "remedies", remedies);
    }

    private List<Edit> remedies(Finding finding) {
        return finding.remedies().stream()
                .flatMap(remedy -> tried(finding, remedy).stream())
                .distinct()
                .toList();
    }

    private static boolean harms(Finding finding) {
        return finding.severity().compareTo(Severity.FIX) <= 0;
    }

    /** A remedy and what it calls for, once nothing is left of the finding and nothing new came. */
    private Optional<Edit> tried(Finding finding, Edit remedy) {
        var edits = new ArrayList<Edit>(List.of(remedy));
        while (edits.size() <= MOST) {
            var left = left(finding, edits);
            if (left.isEmpty()) {
                return Optional.of(
                        edits.size() == 1
                                ? remedy
                                : new CompositeEdit(CompositeEdit.Reason.MEND, List.copyOf(edits)));
            }
            var next =
                    left.get().remedies().stream()
                            .filter(edit -> !edits.contains(edit))
                            .filter(edit -> !PartEdit.takesBack(edit, edits))
                            .findFirst();
            if (next.isEmpty()) {
                return Optional.empty();
            }
            edits.add(next.get());
        }
        return Optional.empty();
    }

    /** The finding itself, or the first that edits bring; empty where they mend and do no harm. */
    private Optional<Finding> left(Finding finding, List<Edit> edits) {
        var now = before.design();
        for (var edit : edits) {
            now = edit.apply(now);
        }
        var about = finding.about();
        return Findings.of(before.after(now)).stream()
                .filter(each ->
                        each.about().equals(about) || harms(each) && !known.contains(each.about()))
                .findFirst();
    }
}
