package aficion.check.polarity;

import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.check.finding.Rule;
import aficion.job.Design;
import aficion.job.Part;
import aficion.job.Terminal;
import aficion.job.edit.CompositeEdit;
import aficion.job.edit.Edit;
import aficion.job.edit.WireEdit;
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
public final class SideRule implements Rule {

    /** A filament of a lamp that is fed from the other side's pin. */
    private record Crossed(Part part, Side side, Terminal feed, Terminal from) {}

    @Override
    public Stream<Finding> check(Assessment assessment) {
        var design = assessment.design();
        var crossed = assessment.lasting(SideRule.class, () -> crossed(design));
        return crossed.stream()
                .map(each ->
                        new PathFinding.OnOtherSide(
                                each.part.id(), each.from, remedies(design, crossed, each)));
    }

    private static List<Crossed> crossed(Design design) {
        return design.parts().stream()
                .flatMap(SideRule::feeds)
                .flatMap(feed -> crossed(design, feed).stream())
                .toList();
    }

    private static Stream<Terminal> feeds(Part part) {
        return part.kind().lightPins().stream().map(part::terminal);
    }

    private static Optional<Crossed> crossed(Design design, Terminal feed) {
        var part = design.part(feed.part());
        var side = Side.ofName(part.name());
        if (side.isEmpty()) {
            return Optional.empty();
        }
        var joined =
                Netlist.joined(design, feed).stream()
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
    private static List<Edit> remedies(Design design, List<Crossed> all, Crossed one) {
        return all.stream()
                .filter(other -> other.side != one.side)
                .filter(other -> other.feed.pin().equals(one.feed.pin()))
                .map(other ->
                        one.side == Side.LEFT
                                ? exchanged(design, one.feed, other.feed)
                                : exchanged(design, other.feed, one.feed))
                .limit(1)
                .toList();
    }

    private static Edit exchanged(Design design, Terminal left, Terminal right) {
        return new CompositeEdit(
                CompositeEdit.Reason.MEND,
                Stream.concat(moved(design, left, right), moved(design, right, left)).toList());
    }

    private static Stream<Edit> moved(Design design, Terminal from, Terminal to) {
        return design.wiresAt(from).stream().map(wire -> WireEdit.MoveEnd.of(wire, from, to));
    }
}
