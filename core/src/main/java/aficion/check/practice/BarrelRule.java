package aficion.check.practice;

import aficion.catalogue.Terminals;
import aficion.catalogue.Terminals.Family;
import aficion.catalogue.Terminals.Fitting;
import aficion.check.finding.Finding;
import aficion.check.finding.FitFinding;
import aficion.check.finding.Rule;
import aficion.job.Design;
import aficion.job.End;
import aficion.job.Terminal;
import aficion.job.Termination;
import aficion.job.Wire;
import aficion.job.edit.CompositeEdit;
import aficion.job.edit.Edit;
import aficion.job.edit.WireEdit;
import aficion.quantity.SquareMillimetres;
import aficion.size.Assessment;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What is crimped together into one barrel: more copper than it takes bursts it, less than it grips
 * pulls out (docs/SOURCES.md). Rings stack and joints have a side for each wire: there every wire
 * is alone.
 */
public final class BarrelRule implements Rule {
    /** What the ring takes that wires are given which no blade takes together, mm². */
    private static final double RING = 16;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        var design = assessment.design();
        return Stream.concat(
                Shared.terminals(assessment).stream()
                        .flatMap(terminal -> overfull(design, terminal).stream()),
                design.wires().stream()
                        .flatMap(wire ->
                                Stream.of(wire.from(), wire.to())
                                        .flatMap(end -> loose(design, wire, end).stream())));
    }

    /** The wires that share the barrel of a terminal. */
    private static List<Wire> sharing(Design design, Terminal terminal) {
        return design.wiresAt(terminal).stream()
                .filter(wire -> fitting(wire, terminal).family().isBarrel())
                .toList();
    }

    private static Fitting fitting(Wire wire, Terminal terminal) {
        return wire.at(terminal).termination().fitting();
    }

    private static SquareMillimetres copper(List<Wire> wires) {
        return new SquareMillimetres(
                wires.stream().mapToDouble(wire -> wire.conductor().copper().value()).sum());
    }

    private static Optional<Finding> overfull(Design design, Terminal terminal) {
        var wires = sharing(design, terminal);
        var copper = copper(wires);
        return wires.stream()
                .map(wire -> fitting(wire, terminal))
                .max(Comparator.comparing(fitting -> fitting.takes().value()))
                .filter(fitting -> wires.size() > 1 && !fitting.takes(copper))
                .map(fitting ->
                        new FitFinding.BarrelOverfull(
                                terminal.part(),
                                terminal,
                                copper,
                                fitting.takes(),
                                roomier(design, terminal, copper)));
    }

    /** One blade that takes them all; else a ring each, which stack. */
    private static List<Edit> roomier(Design design, Terminal terminal, SquareMillimetres copper) {
        boolean sealed = design.part(terminal.part()).zone().isWet();
        return Terminals.all().stream()
                .filter(each -> each.sealed() || !sealed)
                .filter(each ->
                        each.family() == Family.BLADE && each.takes(copper)
                                || each.family() == Family.RING && each.takes().value() >= RING)
                .limit(1)
                .<Edit>map(each ->
                        new CompositeEdit(
                                CompositeEdit.Reason.MEND,
                                sharing(design, terminal).stream()
                                        .<Edit>map(wire ->
                                                new WireEdit.Crimp(
                                                        wire.id(),
                                                        terminal,
                                                        new Termination(each.key())))
                                        .toList()))
                .toList();
    }

    /** What lies in the barrel at the end of a wire. */
    private static SquareMillimetres copper(Design design, Wire wire, End end) {
        boolean barrel = end.termination().fitting().family().isBarrel();
        return barrel && design.wiresAt(end.terminal()).size() > 1
                ? copper(sharing(design, end.terminal()))
                : wire.conductor().copper();
    }

    private static Optional<Finding> loose(Design design, Wire wire, End end) {
        var fitting = end.termination().fitting();
        var copper = copper(design, wire, end);
        return fitting.grips(copper)
                ? Optional.empty()
                : Optional.of(
                        new FitFinding.EndTooLarge(
                                wire.id(),
                                end.terminal(),
                                end.termination(),
                                copper,
                                fitting.least(),
                                LargerEnd.of(design, wire, end, each -> true)));
    }
}
