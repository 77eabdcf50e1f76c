package aficion.check.practice;

import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.job.Design;
import aficion.job.End;
import aficion.job.Wire;
import aficion.quantity.Amps;
import aficion.size.Assessment;
import aficion.size.WireSizing;
import java.util.stream.Stream;

/** Blades, bullets and pins at the ends of wires that carry more than they can for good. */
public final class TerminationRule implements Rule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.sizings().values().stream()
                .flatMap(sizing -> overloaded(assessment.design(), sizing));
    }

    private static Stream<Finding> overloaded(Design design, WireSizing sizing) {
        Wire wire = sizing.wire();
        return Stream.of(wire.from(), wire.to())
                .flatMap(end ->
                        end.termination().fitting().carries().stream()
                                .filter(carries -> sizing.steady().value() > carries.value())
                                .map(carries ->
                                        finding(design, wire, end, sizing.steady(), carries)));
    }

    private static Finding finding(Design design, Wire wire, End end, Amps carried, Amps carries) {
        return new Finding.TerminalOverloaded(
                wire.id(),
                end.terminal(),
                carried,
                carries,
                LargerEnd.of(
                        design,
                        wire,
                        end,
                        each ->
                                each.carries()
                                        .filter(fits -> fits.value() < carried.value())
                                        .isEmpty()));
    }
}
