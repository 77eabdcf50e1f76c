package aficion.check.practice;

import aficion.catalogue.Terminals;
import aficion.catalogue.Terminals.Family;
import aficion.catalogue.Terminals.Fitting;
import aficion.job.Design;
import aficion.job.End;
import aficion.job.Termination;
import aficion.job.Wire;
import aficion.job.edit.Edit;
import aficion.job.edit.WireEdit;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/** The next terminal for the end of a wire that takes its copper and will do. */
public final class LargerEnd {
    private LargerEnd() {}

    /** Of its own family, else a ring for a blade and a lug for a ring; on its stud where known. */
    static List<Edit> of(Design design, Wire wire, End end, Predicate<Fitting> enough) {
        var now = end.termination().fitting();
        var stud =
                design.part(end.terminal().part())
                        .stud(end.terminal().pin())
                        .or(() -> now.family().stacks() ? now.hole() : Optional.empty());
        return find(
                        wire,
                        now,
                        enough.and(each ->
                                stud.isEmpty()
                                        || !each.family().stacks()
                                        || each.hole().equals(stud)))
                .or(() -> find(wire, now, enough))
                .<Edit>map(each ->
                        new WireEdit.Crimp(wire.id(), end.terminal(), new Termination(each.key())))
                .stream()
                .toList();
    }

    private static Optional<Fitting> find(Wire wire, Fitting now, Predicate<Fitting> enough) {
        var wanted = families(now.family());
        var copper = wire.conductor().copper();
        return Terminals.all().stream()
                .filter(each -> wanted.contains(each.family()))
                .filter(each -> each.takes(copper) && each.grips(copper))
                .filter(each -> !now.sealed() || each.sealed())
                .filter(each -> !each.key().equals(now.key()))
                .filter(enough)
                .min(
                        Comparator.comparing((Fitting each) -> wanted.indexOf(each.family()))
                                .thenComparing(each -> each.takes().value()));
    }

    private static List<Family> families(Family family) {
        return switch (family) {
            case BLADE -> List.of(Family.BLADE, Family.RING, Family.LUG);
            case RING, LUG -> List.of(Family.RING, Family.LUG);
            default -> List.of(family, Family.RING, Family.LUG);
        };
    }
}
