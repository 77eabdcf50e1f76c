package aficion.check;

import aficion.catalogue.Terminals;
import aficion.job.End;
import aficion.job.Termination;
import aficion.job.Wire;
import aficion.job.edit.Edit;
import aficion.quantity.Amps;
import aficion.size.Assessment;
import aficion.size.WireSizing;
import java.util.List;
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
                        Terminals.carries(end.termination().key()).stream()
                                .filter(carries -> sizing.steady().value() > carries.value())
                                .map(carries -> finding(wire, end, sizing.steady(), carries)));
    }

    private static Finding finding(Wire wire, End end, Amps carried, Amps carries) {
        return new Finding.TerminalOverloaded(
                wire.id(), end.terminal(), carried, carries, larger(wire, end, carried));
    }

    /** The next larger blade that carries it, on a blade; other ends fit only what they fit. */
    private static List<Edit> larger(Wire wire, End end, Amps carried) {
        boolean blade = end.termination() == Termination.BLADE_6_3;
        var wider = new End(end.terminal(), Termination.BLADE_9_5);
        return blade
                        && Terminals.carries(wider.termination().key())
                                .filter(fits -> fits.value() >= carried.value())
                                .isPresent()
                ? List.of(new Edit.MoveEnd(wire.id(), end.equals(wire.from()), wider))
                : List.of();
    }
}
