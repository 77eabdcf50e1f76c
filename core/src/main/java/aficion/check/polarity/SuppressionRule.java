package aficion.check.polarity;

import aficion.check.finding.EndsRule;
import aficion.check.finding.Finding;
import aficion.job.ControlKind;
import aficion.job.ControlKind.Suppression;
import aficion.job.Design;
import aficion.job.Part;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.edit.Edit;
import aficion.job.edit.PartEdit;
import aficion.netlist.Netlist;
import aficion.size.Assessment;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Suppression diodes whose cathode leads to the negative pole and whose anode leads to the positive
 * one: they conduct as soon as the coil is fed, and the fuse opens.
 */
public final class SuppressionRule implements EndsRule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        var design = assessment.design();
        return design.parts().stream()
                .flatMap(part ->
                        part.kind() instanceof ControlKind.Relay relay
                                ? relay.suppression().stream()
                                        .filter(kind -> kind != Suppression.RESISTOR)
                                        .filter(kind -> reversed(design, part, kind))
                                        .map(kind -> finding(design, part, relay, kind))
                                : Stream.empty());
    }

    private static boolean reversed(Design design, Part part, Suppression kind) {
        boolean to86 = kind == Suppression.DIODE_TO_86;
        var cathode = part.terminal(to86 ? "86" : "85");
        var anode = part.terminal(to86 ? "85" : "86");
        return leads(design, cathode, "-")
                && !leads(design, cathode, "+")
                && leads(design, anode, "+")
                && !leads(design, anode, "-");
    }

    private static boolean leads(Design design, Terminal from, String pole) {
        return Netlist.reached(design, from).stream()
                .anyMatch(terminal ->
                        terminal.pin().equals(pole)
                                && design.part(terminal.part()).kind()
                                        instanceof SourceKind.Battery);
    }

    private static Finding finding(
            Design design, Part part, ControlKind.Relay relay, Suppression kind) {
        var turned =
                kind == Suppression.DIODE_TO_86 ? Suppression.DIODE_TO_85 : Suppression.DIODE_TO_86;
        var other =
                new ControlKind.Relay(
                        relay.rated(),
                        relay.coil(),
                        relay.pickUp(),
                        relay.dropOut(),
                        relay.makes(),
                        relay.breaks(),
                        Optional.of(turned));
        var exchanged = Exchanges.of(design, part, "86", "85");
        List<Edit> remedies =
                exchanged.isEmpty() ? List.of(new PartEdit.Refit(part.id(), other)) : exchanged;
        return new Finding.SuppressionReversed(part.id(), remedies);
    }
}
