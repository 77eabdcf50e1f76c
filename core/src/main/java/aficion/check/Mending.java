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
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;

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
    private final Map<Finding, Finding> offered = new HashMap<>();

    /** Prepares to try remedies of what is found in a design. To be used by one thread. */
    public Mending(Assessment before) {
        this.before = before;
        this.known =
                Findings.of(before).stream()
                        .filter(Mending::harms)
                        .map(Finding::about)
                        .collect(Collectors.toSet());
    }

    /** Findings with the remedies that may be offered, and none besides. */
    public static List<Finding> offered(Assessment before, List<Finding> findings) {
        return new Mending(before).offered(findings, () -> true).orElseThrow();
    }

    /**
     * The same; what was tried before is not tried again.
     *
     * @param goOn asked before each finding; false ends it early, with nothing
     */
    public Optional<List<Finding>> offered(List<Finding> findings, BooleanSupplier goOn) {
        for (var finding : findings) {
            if (!goOn.getAsBoolean()) {
                return Optional.empty();
            }
            offered.computeIfAbsent(
                    finding, each -> with(each, remedies(each).distinct().toList()));
        }
        return Optional.of(findings.stream().map(offered::get).toList());
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

    /** The first remedy that may be offered. */
    Optional<Edit> first(Finding finding) {
        return remedies(finding).findFirst();
    }

    /** What may be offered, each tried when it is asked for. */
    private Stream<Edit> remedies(Finding finding) {
        return finding.remedies().stream().flatMap(remedy -> tried(finding, remedy).stream());
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
