package aficion.check;

import aficion.catalogue.Terminals;
import aficion.catalogue.Terminals.Family;
import aficion.job.End;
import aficion.job.Job;
import aficion.job.JoinKind;
import aficion.job.Part;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.Termination;
import aficion.job.Wire;
import aficion.job.edit.Edit;
import aficion.quantity.SquareMillimetres;
import aficion.size.Assessment;
import aficion.size.Guard;
import aficion.size.Guards;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Ends that do not fit: copper too thick for its terminal, a ring for another stud, two wires in
 * one barrel beyond its range, more than three rings on a stud, accessories on the battery's post,
 * bare terminals in the wet (HANDBOOK section 8).
 */
final class EndRule implements Rule {
    private static final int MOST_RINGS = 3;

    /** What the ring takes that wires are given which no blade takes together, mm². */
    private static final double RING = 16;

    /** A guard up to this is that of an accessory, amps. */
    private static final double ACCESSORY = 25;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        var job = assessment.job();
        return Stream.of(
                        job.wires().stream().flatMap(wire -> ends(job, wire)),
                        job.parts().stream().flatMap(part -> shared(job, part)),
                        job.parts().stream().flatMap(part -> wet(job, part).stream()),
                        job.parts().stream().flatMap(part -> posts(assessment, part).stream()))
                .flatMap(found -> found);
    }

    private static Stream<Finding> ends(Job job, Wire wire) {
        return Stream.of(wire.from(), wire.to())
                .flatMap(end ->
                        Stream.concat(
                                tooSmall(job, wire, end).stream(),
                                otherStud(job, wire, end).stream()));
    }

    private static Optional<Finding> tooSmall(Job job, Wire wire, End end) {
        var copper = wire.conductor().copper();
        var takes = end.termination().fitting().takes();
        return copper.value() > LargerEnd.ROUNDED * takes.value()
                ? Optional.of(
                        new FitFinding.EndTooSmall(
                                wire.id(),
                                end.terminal(),
                                end.termination(),
                                copper,
                                takes,
                                LargerEnd.of(job, wire, end, _ -> true)))
                : Optional.empty();
    }

    private static Optional<Finding> otherStud(Job job, Wire wire, End end) {
        var fitting = end.termination().fitting();
        var stud = job.part(end.terminal().part()).stud(end.terminal().pin());
        boolean differs =
                fitting.family().stacks()
                        && fitting.hole().isPresent()
                        && stud.isPresent()
                        && !fitting.hole().equals(stud);
        return differs
                ? Optional.of(
                        new FitFinding.RingDoesNotFit(
                                wire.id(),
                                end.terminal(),
                                end.termination(),
                                stud.get().toUpperCase(Locale.ROOT),
                                LargerEnd.of(job, wire, end, each -> each.hole().equals(stud))))
                : Optional.empty();
    }

    private static Stream<Finding> shared(Job job, Part part) {
        return part.terminals().stream()
                .flatMap(terminal -> {
                    var ends = endsAt(job, terminal);
                    return Stream.concat(
                            overfull(job, part, terminal).stream(),
                            rings(ends) > MOST_RINGS && !(part.kind() instanceof JoinKind.Splice)
                                    ? Stream.of(
                                            new FitFinding.TooManyRings(
                                                    part.id(), terminal, rings(ends)))
                                    : Stream.empty());
                });
    }

    private static List<End> endsAt(Job job, Terminal terminal) {
        return job.wiresAt(terminal).stream().map(wire -> wire.at(terminal)).toList();
    }

    private static int rings(List<End> ends) {
        return (int)
                ends.stream().filter(end -> end.termination().fitting().family().stacks()).count();
    }

    private static Optional<Finding> overfull(Job job, Part part, Terminal terminal) {
        double copper = 0;
        double takes = 0;
        int wires = 0;
        for (var wire : job.wiresAt(terminal)) {
            var fitting = wire.at(terminal).termination().fitting();
            if (fitting.family().isBarrel()) {
                copper += wire.conductor().copper().value();
                takes = Math.max(takes, fitting.takes().value());
                wires++;
            }
        }
        return wires > 1 && copper > LargerEnd.ROUNDED * takes
                ? Optional.of(
                        new FitFinding.BarrelOverfull(
                                part.id(),
                                terminal,
                                new SquareMillimetres(copper),
                                new SquareMillimetres(takes),
                                roomier(job, terminal, copper)))
                : Optional.empty();
    }

    /** One blade that takes them all; else a ring each, which stack. */
    private static List<Edit> roomier(Job job, Terminal terminal, double copper) {
        boolean sealed = job.part(terminal.part()).zone().isWet();
        return Terminals.all().stream()
                .filter(each -> each.sealed() || !sealed)
                .filter(each ->
                        each.family() == Family.BLADE
                                        && LargerEnd.ROUNDED * each.takes().value() >= copper
                                || each.family() == Family.RING && each.takes().value() >= RING)
                .limit(1)
                .<Edit>map(each ->
                        new Edit.Together(
                                Edit.Deed.MEND, led(job, terminal, new Termination(each.key()))))
                .toList();
    }

    private static List<Edit> led(Job job, Terminal terminal, Termination termination) {
        return job.wiresAt(terminal).stream()
                .filter(wire -> wire.at(terminal).termination().fitting().family().isBarrel())
                .<Edit>map(wire ->
                        new Edit.MoveEnd(
                                wire.id(),
                                wire.from().terminal().equals(terminal),
                                new End(terminal, termination)))
                .toList();
    }

    /** The ends on a part in the wet that are not sealed, and their like that are. */
    private static Optional<Finding> wet(Job job, Part part) {
        if (!part.zone().isWet()) {
            return Optional.empty();
        }
        var edits = new ArrayList<Edit>();
        for (var wire : job.wires()) {
            for (var end : List.of(wire.from(), wire.to())) {
                boolean bare =
                        end.terminal().part().equals(part.id())
                                && !end.termination().fitting().sealed();
                if (bare) {
                    edits.add(
                            new Edit.MoveEnd(
                                    wire.id(),
                                    end.equals(wire.from()),
                                    new End(end.terminal(), end.termination().sealed())));
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
                                                : new Edit.Together(Edit.Deed.MEND, edits))));
    }

    private static Optional<Finding> posts(Assessment assessment, Part part) {
        if (!(part.kind() instanceof SourceKind.Battery)) {
            return Optional.empty();
        }
        var job = assessment.job();
        int leads =
                (int)
                        part.terminals().stream()
                                .flatMap(post -> job.wiresAt(post).stream())
                                .filter(wire ->
                                        assessment.guard(wire.id()) instanceof Guard.Unguarded)
                                .filter(wire ->
                                        Guards.next(job, wire)
                                                .filter(fuse -> fuse.carries().value() <= ACCESSORY)
                                                .isPresent())
                                .count();
        return leads > 1
                ? Optional.of(new FitFinding.RingsOnPost(part.id(), leads))
                : Optional.empty();
    }
}
