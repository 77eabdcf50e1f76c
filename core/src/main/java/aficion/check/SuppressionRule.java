package aficion.check;

import aficion.job.ControlKind;
import aficion.job.ControlKind.Suppression;
import aficion.job.Job;
import aficion.job.Part;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.edit.Edit;
import aficion.netlist.Netlist;
import aficion.size.Assessment;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Suppression diodes whose cathode leads to the negative pole and whose anode leads to the positive
 * one: they conduct as soon as the coil is fed, and the fuse opens.
 */
final class SuppressionRule implements Rule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        var job = assessment.job();
        return job.parts().stream()
                .flatMap(part ->
                        part.kind() instanceof ControlKind.Relay relay
                                ? relay.suppression().stream()
                                        .filter(kind -> kind != Suppression.RESISTOR)
                                        .filter(kind -> reversed(job, part, kind))
                                        .map(kind -> finding(job, part, relay, kind))
                                : Stream.empty());
    }

    private static boolean reversed(Job job, Part part, Suppression kind) {
        boolean to86 = kind == Suppression.DIODE_TO_86;
        var cathode = part.terminal(to86 ? "86" : "85");
        var anode = part.terminal(to86 ? "85" : "86");
        return leads(job, cathode, "-")
                && !leads(job, cathode, "+")
                && leads(job, anode, "+")
                && !leads(job, anode, "-");
    }

    private static boolean leads(Job job, Terminal from, String pole) {
        return Netlist.reached(job, from).stream()
                .anyMatch(terminal ->
                        terminal.pin().equals(pole)
                                && job.part(terminal.part()).kind() instanceof SourceKind.Battery);
    }

    private static Finding finding(Job job, Part part, ControlKind.Relay relay, Suppression kind) {
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
        var exchanged = Exchanges.of(job, part, "86", "85");
        List<Edit> remedies =
                exchanged.isEmpty() ? List.of(new Edit.Refit(part.id(), other)) : exchanged;
        return new Finding.SuppressionReversed(part.id(), remedies);
    }
}
