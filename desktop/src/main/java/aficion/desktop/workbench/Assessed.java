package aficion.desktop.workbench;

import aficion.check.Finding;
import aficion.check.Severity;
import aficion.job.CircuitId;
import aficion.job.Job;
import aficion.size.Assessment;
import java.util.List;
import java.util.Optional;

/** All that is worked out of one job, with its findings. */
public record Assessed(Assessment assessment, List<Finding> findings) {
    public Assessed {
        findings = List.copyOf(findings);
    }

    public Job job() {
        return assessment.job();
    }

    public List<Finding> of(CircuitId circuit) {
        return findings.stream()
                .filter(finding -> finding.subject().circuits(job()).contains(circuit))
                .toList();
    }

    /** The worst severity in a circuit. */
    public Optional<Severity> worst(CircuitId circuit) {
        return of(circuit).stream().map(Finding::severity).min(Severity::compareTo);
    }

    public long dangers() {
        return findings.stream().filter(finding -> finding.severity() == Severity.DANGER).count();
    }
}
