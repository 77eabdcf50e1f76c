package aficion.check.polarity;

import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.check.finding.SourceFinding;
import aficion.job.Design;
import aficion.job.Part;
import aficion.job.SourceKind;
import aficion.job.edit.Edit;
import aficion.netlist.Conditions;
import aficion.size.Assessment;
import aficion.solve.Outcome;
import java.util.List;
import java.util.stream.Stream;

/** Batteries whose pole that is to be live lies at earth, or whose live pole has the other sign. */
public final class BatteryRule implements Rule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        var design = assessment.design();
        if (!(assessment.answers().demand(Conditions.REST) instanceof Outcome.Solved(var point))) {
            return Stream.empty();
        }
        var bond = assessment.worst().metal().in(point);
        var live = design.vehicle().livePin();
        var back = design.vehicle().earthedPin();
        return design.parts().stream()
                .filter(part -> part.kind() instanceof SourceKind.Battery)
                .filter(part ->
                        bond.earthed(assessment.netlist().node(part.terminal(live)))
                                && !bond.earthed(assessment.netlist().node(part.terminal(back))))
                .map(part ->
                        new SourceFinding.BatteryReversed(part.id(), live, turned(design, part)));
    }

    private static List<Edit> turned(Design design, Part battery) {
        return Exchanges.feeds(design, battery, "+", "-");
    }
}
