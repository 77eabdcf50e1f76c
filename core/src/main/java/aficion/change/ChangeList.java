package aficion.change;

import aficion.job.Design;
import aficion.job.Job;
import aficion.job.Part;
import aficion.job.UnusedLead;
import aficion.job.Wire;
import aficion.job.Work;
import aficion.route.StationId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What is done to a vehicle that exists, so that it becomes what it shall be: in the order of the
 * work (what comes off, what is sealed, what moves, what is new), and at one place after another. A
 * wire is the same where it has the same name or joins the same terminals; one of another size,
 * cover or colour is another one.
 */
public final class ChangeList {
    private final Design found;
    private final Design now;
    private final List<Change> changes = new ArrayList<>();

    private ChangeList(Design found, Design now) {
        this.found = found;
        this.now = now;
    }

    /** The changes of a job; none where nothing was kept as found. */
    public static List<Change> of(Job job) {
        return job.work()
                .found()
                .map(found -> of(found, job.design(), job.work().allUnused()))
                .orElse(List.of());
    }

    /** The changes from one design to another, with the leads that are not needed any more. */
    public static List<Change> of(Design found, Design now, List<UnusedLead> unused) {
        var list = new ChangeList(found, now);
        list.parts();
        list.wires(unused);
        unused.stream()
                .filter(lead -> list.changes.stream().noneMatch(each -> isOf(each, lead)))
                .forEach(lead -> list.changes.add(new Change.OfLead(lead)));
        list.changes.sort(
                Comparator.comparing(Change::sort)
                        .thenComparing(list::place)
                        .thenComparing(each -> each instanceof Change.OfPart ? 0 : 1));
        return List.copyOf(list.changes);
    }

    private static boolean isOf(Change change, UnusedLead lead) {
        return change instanceof Change.OfWire wire && wire.wire().number().equals(lead.name());
    }

    /** Where hands are for a change. */
    private String place(Change change) {
        return switch (change) {
            case Change.OfPart part -> place(part.part());
            case Change.OfWire wire ->
                    now.find(wire.wire().from().terminal().part())
                            .or(() -> found.find(wire.wire().from().terminal().part()))
                            .map(this::place)
                            .orElse("");
            case Change.OfLead lead -> lead.lead().where();
        };
    }

    private String place(Part part) {
        return standing(now, part).or(() -> standing(found, part)).orElse(part.zone().name());
    }

    private static Optional<String> standing(Design design, Part part) {
        return design.find(part.id())
                .flatMap(there -> design.body().map(body -> body.station(there)))
                .map(StationId::value);
    }

    private void parts() {
        for (var was : found.parts()) {
            var is = now.find(was.id());
            if (is.isEmpty()) {
                changes.add(new Change.OfPart(Change.Sort.OFF, Optional.of(was), is));
            } else {
                changes.add(new Change.OfPart(sort(was, is.get()), Optional.of(was), is));
            }
        }
        now.parts().stream()
                .filter(is -> found.find(is.id()).isEmpty())
                .forEach(is ->
                        changes.add(
                                new Change.OfPart(
                                        Change.Sort.NEW, Optional.empty(), Optional.of(is))));
    }

    private Change.Sort sort(Part was, Part is) {
        if (!was.kind().equals(is.kind())) {
            return Change.Sort.REPLACED;
        }
        boolean moved =
                was.zone() != is.zone()
                        || !standing(found, was).equals(standing(now, is))
                                && standing(found, was).isPresent();
        return moved ? Change.Sort.MOVES : Change.Sort.STAYS;
    }

    private void wires(List<UnusedLead> unused) {
        var sealed = unused.stream().map(UnusedLead::name).collect(Collectors.toSet());
        var met = new HashSet<Wire>();
        for (var was : found.wires()) {
            var is = same(was, met);
            is.ifPresent(met::add);
            if (is.isEmpty()) {
                changes.add(
                        new Change.OfWire(
                                sealed.contains(was.number())
                                        ? Change.Sort.SEALED
                                        : Change.Sort.OFF,
                                Optional.of(was),
                                is));
            } else {
                changes.add(new Change.OfWire(sort(was, is.get()), Optional.of(was), is));
            }
        }
        now.wires().stream()
                .filter(is -> !met.contains(is))
                .forEach(is ->
                        changes.add(
                                new Change.OfWire(
                                        Change.Sort.NEW, Optional.empty(), Optional.of(is))));
    }

    private Optional<Wire> same(Wire was, Set<Wire> met) {
        return now.find(was.id())
                .filter(is -> shares(was, is))
                .or(() ->
                        now.wires().stream()
                                .filter(is -> found.find(is.id()).isEmpty())
                                .filter(is -> !met.contains(is))
                                .filter(is ->
                                        Set.copyOf(is.terminals())
                                                .equals(Set.copyOf(was.terminals())))
                                .findFirst())
                .filter(is -> !met.contains(is));
    }

    /** Whether an end stayed, or the wire is the very one: then it moves rather than is another. */
    private static boolean shares(Wire was, Wire is) {
        return was.number().equals(is.number())
                || was.terminals().stream().anyMatch(is.terminals()::contains);
    }

    private static Change.Sort sort(Wire was, Wire is) {
        if (!was.cut().equals(is.cut())) {
            return Change.Sort.REPLACED;
        }
        return Set.copyOf(was.terminals()).equals(Set.copyOf(is.terminals()))
                ? Change.Sort.STAYS
                : Change.Sort.MOVES;
    }

    /** How many of some changes are done. */
    public static long done(List<Change> changes, Work work) {
        return changes.stream().filter(each -> work.diary().isDone(each.key())).count();
    }
}
