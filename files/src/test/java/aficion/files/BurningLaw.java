package aficion.files;

import aficion.check.Findings;
import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.check.finding.Severity;
import aficion.check.finding.SourceFinding;
import aficion.check.finding.Subject;
import aficion.fault.Fault;
import aficion.job.Design;
import aficion.job.JoinKind;
import aficion.job.SourceKind;
import aficion.job.Wire;
import aficion.job.WireId;
import aficion.netlist.Netlist;
import aficion.size.Assessment;
import aficion.size.Guard;
import aficion.sweep.Consequence;
import aficion.sweep.Effect;
import aficion.sweep.Sweep;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What the sweep burns, check has called a danger there: at the wire that burns or is chafed, at an
 * end of it, at its guard or at the lead without a guard that feeds it; or bare metal shorts a
 * battery or the strap of the engine is no good, which is to be mended before anything else. Only a
 * fault before the first guard is left out, where it burns a lead stated to have none or the
 * battery's own earth.
 */
final class BurningLaw {
    private final Assessment assessment;
    private final Design design;
    private final Set<String> dangers;
    private final List<Wire> bare;
    private final boolean isFirst;

    private BurningLaw(Design design) {
        this.design = design;
        this.assessment = Assessment.of(design);
        var found =
                Findings.of(assessment).stream()
                        .filter(finding -> finding.severity() == Severity.DANGER)
                        .toList();
        this.dangers =
                found.stream()
                        .map(Finding::subject)
                        .map(subject -> subject.place())
                        .collect(Collectors.toSet());
        this.bare =
                found.stream()
                        .filter(Finding.LeadWithoutGuard.class::isInstance)
                        .map(finding -> design.wire(((Finding.LeadWithoutGuard) finding).wire()))
                        .toList();
        this.isFirst = found.stream().anyMatch(this::isFirst);
    }

    /**
     * A dead short, a battery the wrong way round, or a strap between two earths that is missing or
     * too thin.
     */
    private boolean isFirst(Finding danger) {
        return danger instanceof PathFinding.DeadShort
                || danger instanceof PathFinding.StrapMissing
                || danger instanceof SourceFinding.BatteryReversed
                || danger.subject() instanceof Subject.OfWire(var wire)
                        && design.wire(wire).terminals().stream()
                                .map(end -> design.part(end.part()).kind())
                                .allMatch(JoinKind.EarthPoint.class::isInstance);
    }

    /** What burns in a job without being called a danger. */
    static List<String> broken(Design design) {
        var law = new BurningLaw(design);
        if (law.isFirst) {
            return List.of();
        }
        return Sweep.of(Netlist.of(design)).effects().stream().flatMap(law::uncalled).toList();
    }

    private java.util.stream.Stream<String> uncalled(Effect effect) {
        return effect.consequences().stream()
                .flatMap(consequence -> burnt(consequence).stream())
                .filter(burnt -> !isStated(effect.fault(), design.wire(burnt)))
                .filter(burnt -> there(effect.fault(), burnt).stream().noneMatch(dangers::contains))
                .map(burnt ->
                        effect.fault()
                                + " burns "
                                + design.wire(burnt).number()
                                + " in "
                                + effect.state());
    }

    private static Optional<WireId> burnt(Consequence consequence) {
        return switch (consequence) {
            case Consequence.Burns(var wire, _, _) -> Optional.of(wire);
            case Consequence.Overheats(var wire, _, _) -> Optional.of(wire);
            default -> Optional.empty();
        };
    }

    private boolean isStated(Fault fault, Wire burnt) {
        return fault instanceof Fault.Chafed(var chafed, _)
                && (assessment.guard(chafed) instanceof Guard.Unguarded
                        || linksBatteries(design.wire(chafed)))
                && (assessment.guard(burnt.id()) instanceof Guard.EarthSide
                        || burnt.unguarded().isPresent()
                        || linksBatteries(burnt));
    }

    private boolean linksBatteries(Wire wire) {
        return wire.terminals().stream()
                .allMatch(end -> design.part(end.part()).kind() instanceof SourceKind.Battery);
    }

    private Set<String> there(Fault fault, WireId burnt) {
        var there = new HashSet<>(around(burnt));
        if (fault instanceof Fault.Chafed(var chafed, _)) {
            there.addAll(around(chafed));
        }
        return there;
    }

    private Set<String> around(WireId wire) {
        var places = new HashSet<>(Set.of(wire.value()));
        for (var end : design.wire(wire).terminals()) {
            places.add(end.toString());
            places.add(end.part().value());
        }
        if (assessment.guard(wire) instanceof Guard.Guarded(var fuses)) {
            fuses.forEach(fuse -> places.add(fuse.seat().part().value()));
        }
        bare.stream()
                .filter(lead ->
                        assessment.guard(wire) instanceof Guard.Unguarded
                                && design.wire(wire).terminals().stream()
                                        .anyMatch(assessment.beyond(lead)::contains))
                .forEach(lead -> places.add(lead.id().value()));
        return places;
    }
}
