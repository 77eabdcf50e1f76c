package aficion.check;

import aficion.job.Job;
import aficion.job.Part;
import aficion.job.SourceKind;
import aficion.job.edit.Edit;
import aficion.netlist.Conditions;
import aficion.size.Assessment;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import java.util.List;
import java.util.stream.Stream;

/** Batteries whose pole that is to be live lies at earth, or whose live pole has the other sign. */
final class BatteryRule implements Rule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        var job = assessment.job();
        if (!(new Solver(assessment.netlist()).demand(Conditions.REST)
                instanceof Outcome.Solved(var point))) {
            return Stream.empty();
        }
        var bond = assessment.worst().metal().in(point);
        var live = job.vehicle().livePin();
        var back = job.vehicle().earthedPin();
        return job.parts().stream()
                .filter(part -> part.kind() instanceof SourceKind.Battery)
                .filter(part ->
                        bond.earthed(assessment.netlist().node(part.terminal(live)))
                                && !bond.earthed(assessment.netlist().node(part.terminal(back))))
                .map(part -> new SourceFinding.BatteryReversed(part.id(), live, turned(job, part)));
    }

    private static List<Edit> turned(Job job, Part battery) {
        return Exchanges.feeds(job, battery, "+", "-");
    }
}
