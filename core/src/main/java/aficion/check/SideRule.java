package aficion.check;

import aficion.job.Job;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.Terminal;
import aficion.job.edit.Edit;
import aficion.netlist.Netlist;
import aficion.size.Assessment;
import aficion.verb.OtherSide.Side;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Lamps whose name says one side and whose feed comes from the pin of the other: a turn signal that
 * points the wrong way.
 */
final class SideRule implements Rule {

    /** A filament of a lamp that is fed from the other side's pin. */
    private record Crossed(Part part, Side side, Terminal feed, Terminal from) {}

    @Override
    public Stream<Finding> check(Assessment assessment) {
        var job = assessment.job();
        var crossed =
                job.parts().stream()
                        .flatMap(SideRule::feeds)
                        .flatMap(feed -> crossed(job, feed).stream())
                        .toList();
        return crossed.stream()
                .map(each ->
                        new PathFinding.OnOtherSide(
                                each.part.id(), each.from, remedies(job, crossed, each)));
    }

    private static Stream<Terminal> feeds(Part part) {
        return switch (part.kind()) {
            case LoadKind.Lamp(_, var filaments) ->
                    filaments.stream().map(filament -> part.terminal(filament.pin()));
            case LoadKind.LedLamp _ -> Stream.of(part.terminal("+"));
            default -> Stream.empty();
        };
    }

    private static Optional<Crossed> crossed(Job job, Terminal feed) {
        var part = job.part(feed.part());
        var side = Side.ofName(part.name());
        if (side.isEmpty()) {
            return Optional.empty();
        }
        var joined =
                Netlist.joined(job, feed).stream()
                        .filter(end -> Side.ofPin(end.pin()).isPresent())
                        .toList();
        boolean own = joined.stream().anyMatch(end -> Side.ofPin(end.pin()).equals(side));
        return own
                ? Optional.empty()
                : joined.stream()
                        .findFirst()
                        .map(from -> new Crossed(part, side.get(), feed, from));
    }

    /** The feeds of two that are crossed the one for the other, exchanged; the left one first. */
    private static List<Edit> remedies(Job job, List<Crossed> all, Crossed one) {
        return all.stream()
                .filter(other -> other.side != one.side)
                .filter(other -> other.feed.pin().equals(one.feed.pin()))
                .map(other ->
                        one.side == Side.LEFT
                                ? exchanged(job, one.feed, other.feed)
                                : exchanged(job, other.feed, one.feed))
                .limit(1)
                .toList();
    }

    private static Edit exchanged(Job job, Terminal left, Terminal right) {
        return new Edit.Together(
                Edit.Deed.MEND,
                Stream.concat(moved(job, left, right), moved(job, right, left)).toList());
    }

    private static Stream<Edit> moved(Job job, Terminal from, Terminal to) {
        return job.wiresAt(from).stream().map(wire -> Edit.MoveEnd.of(wire, from, to));
    }
}
