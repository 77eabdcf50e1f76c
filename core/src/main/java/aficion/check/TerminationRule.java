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
    private static final List<Termination> LARGER =
            List.of(Termination.BLADE_6_3, Termination.BLADE_9_5, Termination.RING_M6);

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

    /** The next larger blade that carries it, else a ring; other ends fit only what they fit. */
    private static List<Edit> larger(Wire wire, End end, Amps carried) {
        return LARGER.stream()
                .dropWhile(each -> each != end.termination())
                .skip(1)
                .filter(each ->
                        Terminals.carries(each.key())
                                .filter(fits -> fits.value() < carried.value())
                                .isEmpty())
                .limit(1)
                .<Edit>map(each ->
                        new Edit.MoveEnd(
                                wire.id(), end.equals(wire.from()), new End(end.terminal(), each)))
                .toList();
    }
}
