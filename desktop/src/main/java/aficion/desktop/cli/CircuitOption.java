package aficion.desktop.cli;

import aficion.desktop.cli.Commands.BadInput;
import aficion.job.Circuit;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.words.Words;
import java.util.stream.Collectors;
import picocli.CommandLine.Option;

/** The circuit that a command is about. */
final class CircuitOption {
    @Option(
            names = "--circuit",
            required = true,
            paramLabel = "NUMBER",
            description = "the circuit, by its number")
    private String circuit;

    /**
     * The circuit asked for.
     *
     * @throws BadInput when there is none, or it has no wires
     */
    CircuitId of(Design design) {
        var found =
                design.circuits().stream()
                        .filter(each ->
                                String.valueOf(each.number()).equals(circuit)
                                        || each.id().value().equals(circuit))
                        .map(Circuit::id)
                        .findFirst()
                        .orElseThrow(() ->
                                new BadInput(
                                        Words.of(
                                                "cli.circuit",
                                                circuit,
                                                design.circuits().stream()
                                                        .map(each -> String.valueOf(each.number()))
                                                        .collect(Collectors.joining(", ")))));
        if (design.wiresOf(found).isEmpty()) {
            throw new BadInput(Words.of("cli.circuit.empty", circuit));
        }
        return found;
    }
}
