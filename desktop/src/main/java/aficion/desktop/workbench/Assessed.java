package aficion.desktop.workbench;

import aficion.check.Findings;
import aficion.check.finding.Finding;
import aficion.check.finding.Severity;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.Work;
import aficion.size.Assessment;
import java.util.List;
import java.util.Optional;

/**
 * All that is worked out of one design, with its findings.
 *
 * @param found every finding, whether it stands or not
 * @param judged the same, parted by what the user lets stand
 */
public record Assessed(Assessment assessment, List<Finding> found, Findings.Judged judged) {
    static Assessed of(Assessment assessment, List<Finding> found, Work work) {
        return new Assessed(assessment, found, Findings.judged(found, work));
    }

    /** The same judged by other work. */
    Assessed by(Work work) {
        return of(assessment, found, work);
    }

    /** The findings that ask for something. */
    public List<Finding> findings() {
        return judged.open();
    }

    /** The findings that the user lets stand. */
    public List<Findings.Standing> standing() {
        return judged.standing();
    }

    public Design design() {
        return assessment.design();
    }

    public List<Finding> of(CircuitId circuit) {
        return findings().stream()
                .filter(finding -> finding.subject().circuits(design()).contains(circuit))
                .toList();
    }

    /** The worst severity in a circuit. */
    public Optional<Severity> worst(CircuitId circuit) {
        return of(circuit).stream().map(Finding::severity).min(Severity::compareTo);
    }

    public long dangers() {
        return findings().stream().filter(finding -> finding.severity() == Severity.DANGER).count();
    }
}
