package aficion.check;

import aficion.identify.MainFeed;
import aficion.job.Job;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.job.edit.Edit;
import aficion.size.Assessment;
import aficion.verb.Ends;
import java.util.List;
import java.util.stream.Stream;

/** Main feeds at the battery where the house takes them from another post the vehicle has. */
final class FeedPostRule implements Rule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        var job = assessment.job();
        return MainFeed.post(job).stream()
                .flatMap(post ->
                        MainFeed.fromBattery(job).stream()
                                .filter(wire -> !wire.terminals().contains(post))
                                .map(wire -> found(job, wire, post)));
    }

    private static Finding found(Job job, Wire wire, Terminal post) {
        boolean first = !MainFeed.far(job, wire).id().equals(wire.from().terminal().part());
        return new Finding.FeedFromOtherPost(
                wire.id(), post, List.of(new Edit.MoveEnd(wire.id(), first, Ends.on(job, post))));
    }
}
