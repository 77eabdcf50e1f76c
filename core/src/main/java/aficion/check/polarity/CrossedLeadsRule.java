package aficion.check.polarity;

import aficion.check.finding.EndsRule;
import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.GuardKind;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.SourceKind;
import aficion.netlist.Netlist;
import aficion.size.Assessment;
import java.util.stream.Stream;

/** D and F, or D+ and DF, taken for each other between a source and what governs it. */
public final class CrossedLeadsRule implements EndsRule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        var design = assessment.design();
        return design.parts().stream()
                .flatMap(source ->
                        switch (source.kind()) {
                            case SourceKind.Dynamo _ ->
                                    crossed(design, source, SourceKind.ControlBox.class, "D", "F");
                            case SourceKind.Alternator alternator
                                    when alternator.wakes()
                                            == SourceKind.Alternator.Style.EXTERNAL ->
                                    crossed(
                                            design,
                                            source,
                                            SourceKind.FieldRegulator.class,
                                            "D+",
                                            "DF");
                            case SourceKind.Battery _,
                                    SourceKind.BenchSupply _,
                                    SourceKind.Alternator _,
                                    SourceKind.FieldRegulator _,
                                    SourceKind.ControlBox _,
                                    SourceKind.Flywheel _,
                                    SourceKind.RegulatorRectifier _,
                                    GuardKind _,
                                    ControlKind _,
                                    LoadKind _,
                                    JoinKind _ ->
                                    Stream.empty();
                        });
    }

    private static Stream<Finding> crossed(
            Design design, Part source, Class<?> governor, String one, String two) {
        var atOne = Netlist.joined(design, source.terminal(one));
        var atTwo = Netlist.joined(design, source.terminal(two));
        return design.parts().stream()
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
                                Exchanges.feeds(design, source, one, two)));
    }
}
