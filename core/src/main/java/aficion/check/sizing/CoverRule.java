package aficion.check.sizing;

import aficion.catalogue.Insulation;
import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.job.ControlKind;
import aficion.job.ControlKind.IgnitionBox.Form;
import aficion.job.Design;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.job.edit.Edit;
import aficion.job.edit.WireEdit;
import aficion.netlist.Netlist;
import aficion.quantity.Volts;
import aficion.size.Assessment;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Covers that do not hold the volts of their wire: those between a discharge ignition box and its
 * coil (hundreds of volts, docs/SOURCES.md).
 */
public final class CoverRule implements Rule {
    /** What a discharge box puts on its coil (typical). */
    private static final Volts DISCHARGE = new Volts(400);

    @Override
    public Stream<Finding> check(Assessment assessment) {
        var design = assessment.design();
        var charged = charged(design);
        return design.wires().stream()
                .filter(wire -> charged.contains(wire.from().terminal()))
                .filter(wire -> wire.insulation().holds().value() < DISCHARGE.value())
                .map(wire ->
                        new Finding.CoverTooWeak(
                                wire.id(), wire.insulation().holds(), DISCHARGE, better(wire)));
    }

    /** The terminals that wires, joints and plugs join to the output of a discharge box. */
    private static Set<Terminal> charged(Design design) {
        return design.parts().stream()
                .filter(part ->
                        part.kind() instanceof ControlKind.IgnitionBox box
                                && box.form() == Form.DISCHARGE)
                .flatMap(part -> Netlist.joined(design, part.terminal("1")).stream())
                .collect(Collectors.toSet());
    }

    /** The cover that holds enough and comes closest in warmth. */
    private static List<Edit> better(Wire wire) {
        return Stream.of(Insulation.values())
                .filter(cover -> cover.holds().value() >= DISCHARGE.value())
                .filter(cover -> cover.limit().value() >= wire.insulation().limit().value())
                .min(Comparator.comparingDouble(cover -> cover.limit().value()))
                .<Edit>map(cover -> new WireEdit.Insulate(wire.id(), cover))
                .stream()
                .toList();
    }
}
