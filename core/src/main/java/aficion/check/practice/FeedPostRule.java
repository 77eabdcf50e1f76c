package aficion.check.practice;

import aficion.check.finding.EndsRule;
import aficion.check.finding.Finding;
import aficion.identify.MainFeed;
import aficion.job.Design;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.job.edit.WireEdit;
import aficion.size.Assessment;
import aficion.verb.Ends;
import java.util.List;
import java.util.stream.Stream;

/** Main feeds at the battery where the house takes them from another post the vehicle has. */
public final class FeedPostRule implements EndsRule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        var design = assessment.design();
        return MainFeed.post(design).stream()
                .flatMap(post ->
                        MainFeed.fromBattery(design).stream()
                                .filter(wire -> !wire.terminals().contains(post))
                                .map(wire -> found(design, wire, post)));
    }

    private static Finding found(Design design, Wire wire, Terminal post) {
        boolean first = !MainFeed.far(design, wire).id().equals(wire.from().terminal().part());
        return new Finding.FeedFromOtherPost(
                wire.id(),
                post,
                List.of(new WireEdit.MoveEnd(wire.id(), first, Ends.on(design, post))));
    }
}
