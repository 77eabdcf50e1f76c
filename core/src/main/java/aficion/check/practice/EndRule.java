package aficion.check.practice;

import aficion.catalogue.Terminals.Family;
import aficion.check.finding.Finding;
import aficion.check.finding.FitFinding;
import aficion.check.finding.Quiet;
import aficion.check.finding.Rule;
import aficion.job.Design;
import aficion.job.End;
import aficion.job.JoinKind;
import aficion.job.Part;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.job.edit.CompositeEdit;
import aficion.job.edit.Edit;
import aficion.job.edit.WireEdit;
import aficion.size.Assessment;
import aficion.size.Guard;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Ends that do not fit: copper too thick for its terminal, a ring for another stud or a clamp for
 * the other post, more than three rings on a stud, accessories on the battery's post, bare
 * terminals in the wet (docs/SOURCES.md).
 */
public final class EndRule implements Rule {
    private static final int MOST_RINGS = 3;

    /** A guard up to this is that of an accessory, amps. */
    private static final double ACCESSORY = 25;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        var design = assessment.design();
        return Stream.of(
                        Quiet.ofWires(assessment, EndRule.class, wire -> ends(design, wire)),
                        rings(assessment),
                        design.parts().stream().flatMap(part -> wet(design, part).stream()),
                        design.parts().stream().flatMap(part -> posts(assessment, part)))
                .flatMap(found -> found);
    }

    private static Stream<Finding> ends(Design design, Wire wire) {
        return Stream.of(wire.from(), wire.to())
                .flatMap(end ->
                        Stream.of(
                                        tooSmall(design, wire, end),
                                        otherStud(design, wire, end),
                                        otherPost(design, wire, end))
                                .flatMap(Optional::stream));
    }

    private static Optional<Finding> tooSmall(Design design, Wire wire, End end) {
        var copper = wire.conductor().copper();
        var fitting = end.termination().fitting();
        var takes = fitting.takes();
        return !fitting.takes(copper)
                ? Optional.of(
                        new FitFinding.EndTooSmall(
                                wire.id(),
                                end.terminal(),
                                end.termination(),
                                copper,
                                takes,
                                LargerEnd.of(design, wire, end, _ -> true)))
                : Optional.empty();
    }

    private static Optional<Finding> otherStud(Design design, Wire wire, End end) {
        var fitting = end.termination().fitting();
        var stud = design.part(end.terminal().part()).stud(end.terminal().pin());
        return stud.filter(_ -> !fitting.goesOn(stud))
                .map(size ->
                        new FitFinding.RingDoesNotFit(
                                wire.id(),
                                end.terminal(),
                                end.termination(),
                                size.toUpperCase(Locale.ROOT),
                                LargerEnd.of(design, wire, end, each -> each.hole().equals(stud))));
    }

    /** A clamp made for the other post: the positive one is the thicker. */
    private static Optional<Finding> otherPost(Design design, Wire wire, End end) {
        var fitting = end.termination().fitting();
        var post = Optional.of(end.terminal().pin().equals("+") ? "positive" : "negative");
        boolean differs =
                design.part(end.terminal().part()).kind() instanceof SourceKind.Battery
                        && fitting.family() == Family.CLAMP
                        && fitting.hole().isPresent()
                        && !fitting.hole().equals(post);
        return differs
                ? Optional.of(
                        new FitFinding.ClampForOtherPost(
                                wire.id(),
                                end.terminal(),
                                end.termination(),
                                LargerEnd.of(design, wire, end, each -> each.hole().equals(post))))
                : Optional.empty();
    }

    private static Stream<Finding> rings(Assessment assessment) {
        return Shared.terminals(assessment).stream()
                .flatMap(terminal -> stacked(assessment, terminal).stream());
    }

    private static Optional<Finding> stacked(Assessment assessment, Terminal terminal) {
        var part = assessment.design().part(terminal.part());
        int rings =
                (int)
                        assessment.design().wiresAt(terminal).stream()
                                .map(wire -> wire.at(terminal).termination().fitting().family())
                                .filter(Family::stacks)
                                .count();
        if (rings <= MOST_RINGS || part.kind() instanceof JoinKind.Splice) {
            return Optional.empty();
        }
        var accessories = accessories(assessment, terminal);
        var remedies =
                part.kind() instanceof SourceKind.Battery && accessories.size() > 1
                        ? guarded(assessment, terminal, accessories)
                        : List.of(SecondStud.beside(assessment, terminal, MOST_RINGS));
        return Optional.of(new FitFinding.TooManyRings(part.id(), terminal, rings, remedies));
    }

    private static List<Edit> guarded(Assessment assessment, Terminal post, List<Wire> leads) {
        return SecondStud.behindGuard(assessment, post, leads).stream().toList();
    }

    /** The ends on a part in the wet that are not sealed, and their like that are. */
    private static Optional<Finding> wet(Design design, Part part) {
        if (!part.zone().isWet()) {
            return Optional.empty();
        }
        var edits = new ArrayList<Edit>();
        for (var terminal : part.terminals()) {
            for (var wire : design.wiresAt(terminal)) {
                var termination = wire.at(terminal).termination();
                if (!termination.fitting().sealed()) {
                    edits.add(new WireEdit.Crimp(wire.id(), terminal, termination.sealed()));
                }
            }
        }
        return edits.isEmpty()
                ? Optional.empty()
                : Optional.of(
                        new FitFinding.BareInWet(
                                part.id(),
                                edits.size(),
                                List.of(
                                        edits.size() == 1
                                                ? edits.getFirst()
                                                : new CompositeEdit(
                                                        CompositeEdit.Reason.MEND, edits))));
    }

    private static Stream<Finding> posts(Assessment assessment, Part part) {
        if (!(part.kind() instanceof SourceKind.Battery)) {
            return Stream.empty();
        }
        return part.terminals().stream()
                .flatMap(post -> {
                    var leads = accessories(assessment, post);
                    return leads.size() > 1
                            ? Stream.of(
                                    new FitFinding.RingsOnPost(
                                            part.id(),
                                            leads.size(),
                                            guarded(assessment, post, leads)))
                            : Stream.empty();
                });
    }

    /** The leads of accessories on a post. */
    private static List<Wire> accessories(Assessment assessment, Terminal post) {
        var design = assessment.design();
        return design.wiresAt(post).stream()
                .filter(wire -> assessment.guard(wire.id()) instanceof Guard.Unguarded)
                .filter(wire ->
                        assessment
                                .guarding()
                                .next(wire)
                                .filter(fuse -> fuse.carries().value() <= ACCESSORY)
                                .isPresent())
                .toList();
    }
}
