package aficion.check;

import aficion.job.Job;
import aficion.job.Part;
import aficion.job.SourceKind;
import aficion.netlist.Netlist;
import aficion.size.Assessment;
import java.util.stream.Stream;

/** D and F, or D+ and DF, taken for each other between a source and what governs it. */
final class CrossedLeadsRule implements Rule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        var job = assessment.job();
        return job.parts().stream()
                .flatMap(source ->
                        switch (source.kind()) {
                            case SourceKind.Dynamo _ ->
                                    crossed(job, source, SourceKind.ControlBox.class, "D", "F");
                            case SourceKind.Alternator alternator
                                    when alternator.wakes()
                                            == SourceKind.Alternator.Style.EXTERNAL ->
                                    crossed(
                                            job,
                                            source,
                                            SourceKind.FieldRegulator.class,
                                            "D+",
                                            "DF");
                            default -> Stream.empty();
                        });
    }

    private static Stream<Finding> crossed(
            Job job, Part source, Class<?> governor, String one, String two) {
        var atOne = Netlist.joined(job, source.terminal(one));
        var atTwo = Netlist.joined(job, source.terminal(two));
        return job.parts().stream()
                .filter(part -> governor.isInstance(part.kind()))
                .filter(part ->
                        atOne.contains(part.terminal(two)) && !atOne.contains(part.terminal(one))
                                || atTwo.contains(part.terminal(one))
                                        && !atTwo.contains(part.terminal(two)))
                .map(part ->
                        new PathFinding.LeadsCrossed(
                                source.id(),
                                part.id(),
                                one,
                                two,
                                Exchanges.feeds(job, source, one, two)));
    }
}
