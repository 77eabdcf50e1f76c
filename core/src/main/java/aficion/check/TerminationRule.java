package aficion.check;

import aficion.catalogue.Terminals;
import aficion.job.End;
import aficion.job.Wire;
import aficion.quantity.Amps;
import aficion.size.Assessment;
import aficion.size.WireSizing;
import java.util.Locale;
import java.util.stream.Stream;

/** Blades, bullets and pins at the ends of wires that carry more than they can for good. */
final class TerminationRule implements Rule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.sizings().values().stream().flatMap(TerminationRule::overloaded);
    }

    private static Stream<Finding> overloaded(WireSizing sizing) {
        Wire wire = sizing.wire();
        return Stream.of(wire.from(), wire.to())
                .flatMap(end ->
                        Terminals.carries(key(end)).stream()
                                .filter(carries -> sizing.steady().value() > carries.value())
                                .map(carries -> finding(wire, end, sizing.steady(), carries)));
    }

    private static Finding finding(Wire wire, End end, Amps carried, Amps carries) {
        return new Finding.TerminalOverloaded(wire.id(), end.terminal(), carried, carries);
    }

    private static String key(End end) {
        return end.termination().name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
