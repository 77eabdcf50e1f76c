package aficion.check;

import aficion.job.Job;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.netlist.Netlist;
import aficion.size.Assessment;
import java.util.stream.Stream;

/** Gauges joined to a sender of another family: they lie. */
final class FamilyRule implements Rule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        var job = assessment.job();
        return job.parts().stream()
                .flatMap(part ->
                        part.kind() instanceof LoadKind.Gauge gauge
                                ? gauge.family().stream()
                                        .flatMap(family -> others(job, part, family))
                                : Stream.empty());
    }

    private static Stream<Finding> others(Job job, Part gauge, String family) {
        return Stream.of("B", "T")
                .flatMap(pin -> Netlist.joined(job, gauge.terminal(pin)).stream())
                .map(terminal -> job.part(terminal.part()))
                .distinct()
                .flatMap(part ->
                        part.kind() instanceof JoinKind.Sender sender
                                ? sender.family().stream()
                                        .filter(made -> !made.equals(family))
                                        .map(made ->
                                                new Finding.FamiliesDiffer(
                                                        gauge.id(), part.id(), family, made))
                                : Stream.empty());
    }
}
