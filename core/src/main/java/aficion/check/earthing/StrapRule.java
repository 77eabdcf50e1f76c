package aficion.check.earthing;

import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.check.finding.Rule;
import aficion.job.Design;
import aficion.job.End;
import aficion.job.JoinKind;
import aficion.job.Laid;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.job.edit.Edit;
import aficion.job.edit.NewNames;
import aficion.job.edit.WireEdit;
import aficion.netlist.Netlist;
import aficion.quantity.Metres;
import aficion.route.RunLength;
import aficion.size.Assessment;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * An engine or a body to which what turns the engine or charges gives its current, and from which
 * no metal leads to the earthed pole of a battery: the strap is missing. The current then takes
 * whatever else leads there, a throttle cable, a bearing or a thin wire, and burns it.
 */
public final class StrapRule implements Rule {
    /** How long a strap from engine to body is, metres (typical, docs/SOURCES.md). */
    private static final Metres STRAP = new Metres(0.4);

    @Override
    public Stream<Finding> check(Assessment assessment) {
        var poles = poles(assessment.design());
        return poles.isEmpty()
                ? Stream.empty()
                : Arrays.stream(JoinKind.Mass.values())
                        .flatMap(mass -> found(assessment, mass, poles).stream());
    }

    /** The poles of batteries that the vehicle has at earth, where something is connected. */
    private static List<Terminal> poles(Design design) {
        return design.parts().stream()
                .filter(part -> part.kind() instanceof SourceKind.Battery)
                .map(part -> part.terminal(design.vehicle().earthedPin()))
                .filter(pole -> !design.wiresAt(pole).isEmpty())
                .toList();
    }

    private static Optional<Finding> found(
            Assessment assessment, JoinKind.Mass mass, List<Terminal> poles) {
        var design = assessment.design();
        return design.parts().stream()
                .filter(part ->
                        part.kind() instanceof JoinKind.EarthPoint point && point.mass() == mass)
                .filter(earth -> isAlone(assessment, earth, poles))
                .findFirst()
                .map(earth ->
                        new PathFinding.StrapMissing(
                                earth.id(), strap(design, earth, poles).stream().toList()));
    }

    /** Whether it takes back a heavy current and no metal leads from it to a pole. */
    private static boolean isAlone(Assessment assessment, Part earth, List<Terminal> poles) {
        var netlist = assessment.netlist();
        var joined =
                assessment.worst().metal().closed(netlist.node(earth.terminal("E")), _ -> false);
        return poles.stream().noneMatch(pole -> joined.get(netlist.node(pole)))
                && netlist.design().parts().stream()
                        .filter(StrapRule::isHeavy)
                        .anyMatch(part -> stands(netlist, part, joined));
    }

    private static boolean isHeavy(Part part) {
        return LoadKind.cranks(part.kind())
                || part.kind() instanceof SourceKind && part.kind().casePin().isPresent();
    }

    private static boolean stands(Netlist netlist, Part part, BitSet joined) {
        return part.kind()
                .casePin()
                .map(part::terminal)
                .filter(terminal -> joined.get(netlist.node(terminal)))
                .isPresent();
    }

    /** A strap like the cable that earths the battery, from where that ends. */
    private static Optional<Edit> strap(Design design, Part earth, List<Terminal> poles) {
        return poles.stream()
                .flatMap(pole ->
                        design.wiresAt(pole).stream()
                                .map(cable -> strap(design, cable, cable.beyond(pole), earth)))
                .findFirst();
    }

    private static Edit strap(Design design, Wire cable, End from, Part earth) {
        return new WireEdit.AddWire(
                new Wire(
                        NewNames.wire(design),
                        NewNames.number(design, cable.circuit()),
                        cable.circuit(),
                        from,
                        new End(earth.terminal("E"), from.termination()),
                        cable.cut(),
                        new Laid.Stated(new RunLength.Assumed(STRAP), earth.zone()),
                        Optional.empty(),
                        Optional.empty()));
    }
}
