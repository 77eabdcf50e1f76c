package aficion.desktop.workbench;

import aficion.check.Finding;
import aficion.check.Findings;
import aficion.check.Severity;
import aficion.job.CircuitId;
import aficion.job.Job;
import aficion.size.Assessment;
import java.util.List;
import java.util.Optional;

/** All that is worked out of one job, with its findings. */
public record Assessed(Assessment assessment, Findings.Judged judged) {
    /** The findings that ask for something. */
    public List<Finding> findings() {
        return judged.open();
    }

    /** The findings that the user lets stand. */
    public List<Findings.Standing> standing() {
        return judged.standing();
    }

    public Job job() {
        return assessment.job();
    }

    public List<Finding> of(CircuitId circuit) {
        return findings().stream()
                .filter(finding -> finding.subject().circuits(job()).contains(circuit))
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
