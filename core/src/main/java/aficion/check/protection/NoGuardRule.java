package aficion.check.protection;

import aficion.catalogue.FuseType;
import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.job.Cut;
import aficion.job.Design;
import aficion.job.GuardKind;
import aficion.job.Laid;
import aficion.job.SourceKind;
import aficion.job.Unguarded;
import aficion.job.Wire;
import aficion.job.edit.Edit;
import aficion.job.edit.NewNames;
import aficion.job.edit.PartEdit;
import aficion.quantity.Amps;
import aficion.quantity.Metres;
import aficion.route.RunLength;
import aficion.size.Assessment;
import aficion.size.Guard;
import aficion.size.GuardChoice;
import aficion.size.WireSizing;
import aficion.verb.Ends;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Live leads without a guard that are not stated to go without. A lead to the starter may: no fuse
 * holds its current; it still has to be stated.
 */
public final class NoGuardRule implements Rule {
    /** Where a fuse is put: within reach of the source (typical, docs/SOURCES.md). */
    private static final Metres REACH = new Metres(0.15);

    /** How long a link between two batteries may be, metres. */
    private static final double LINK = 0.5;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.sizings().values().stream()
                .filter(sizing -> assessment.guard(sizing.wire().id()) instanceof Guard.Unguarded)
                .filter(sizing -> sizing.wire().unguarded().isEmpty())
                .filter(sizing -> !linksBatteries(assessment.design(), sizing.wire()))
                .filter(sizing -> nearestToSource(assessment, sizing.wire()))
                .map(sizing ->
                        new Finding.LeadWithoutGuard(
                                sizing.wire().id(), remedies(assessment, sizing)));
    }

    /** A short link between the posts of two batteries belongs to them. */
    private static boolean linksBatteries(Design design, Wire wire) {
        return wire.length().metres().value() <= LINK
                && wire.terminals().stream()
                        .allMatch(end ->
                                design.part(end.part()).kind() instanceof SourceKind.Battery);
    }

    /** A lead that another unguarded and unstated lead feeds is mended with that one. */
    private static boolean nearestToSource(Assessment assessment, Wire wire) {
        var design = assessment.design();
        var guards = assessment.guarding();
        var near = guards.fed(wire).terminal();
        return design.wiresAt(near).stream()
                .filter(feed -> !feed.id().equals(wire.id()))
                .noneMatch(feed ->
                        feed.unguarded().isEmpty()
                                && assessment.guard(feed.id()) instanceof Guard.Unguarded
                                && !guards.fed(feed).terminal().equals(near));
    }

    static List<Edit> remedies(Assessment assessment, WireSizing sizing) {
        var share = assessment.design().rules().fuseLoad();
        var carries = new Amps(sizing.carries().result().value());
        for (var type : List.of(FuseType.BLADE, FuseType.BOLTED)) {
            var choice = GuardChoice.of(type, sizing.steady(), carries, share);
            if (choice.marking().isPresent()) {
                return List.of(insert(assessment, sizing.wire(), type, choice.marking().get()));
            }
        }
        return List.of();
    }

    private static Edit insert(Assessment assessment, Wire wire, FuseType type, Amps marking) {
        var design = assessment.design();
        var fuse = NewNames.part(design, "F", wire.zone(), new GuardKind.Fuse(type, marking));
        var near = assessment.guarding().fed(wire);
        var lead =
                new Wire(
                        NewNames.wire(design),
                        NewNames.number(design, wire.circuit()),
                        wire.circuit(),
                        near,
                        Ends.on(fuse, "1"),
                        new Cut(wire.size(), wire.insulation(), wire.colour()),
                        new Laid.Stated(new RunLength.Assumed(REACH), wire.zone()),
                        Optional.of(Unguarded.WITHIN_REACH),
                        Optional.empty());
        return new PartEdit.InsertPart(wire.id(), fuse, "1", "2", lead);
    }
}
