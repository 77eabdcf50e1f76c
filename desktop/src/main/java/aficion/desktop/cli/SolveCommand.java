package aficion.desktop.cli;

import aficion.desktop.cli.Commands.BadInput;
import aficion.job.Design;
import aficion.solve.OperatingPoint;
import aficion.words.Words;
import java.io.IOException;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/**
 * Prints the operating point: a row for each terminal (volts against earth; none when it floats)
 * and each wire (volts dropped from its first to its second end, amps in that direction), in full
 * precision.
 */
@Command(name = "solve", description = "Prints volts at every terminal and amps in every wire.")
final class SolveCommand extends Commands.Printing {
    @Mixin private Commands.JobArgument job;

    @Mixin private StateOption state;

    @Option(
            names = "--format",
            paramLabel = "csv",
            description = "the form of the output",
            defaultValue = "csv")
    private String format;

    @Override
    public Integer call() throws IOException {
        if (!format.equals("csv")) {
            throw new BadInput(Words.of("cli.format", format));
        }
        var loaded = job.load().design();
        return print(loaded, state.solve(loaded));
    }

    private int print(Design design, OperatingPoint point) throws IOException {
        var printer = printer();
        printer.printRecord("kind", "name", "volts", "amps", "state");
        for (var part : design.parts()) {
            for (var terminal : part.terminals()) {
                var volts = point.voltsAt(terminal);
                printer.printRecord(
                        "terminal",
                        terminal,
                        volts.map(found -> String.valueOf(found.value())).orElse(""),
                        "",
                        volts.isPresent() ? "driven" : "floating");
            }
        }
        for (var wire : design.wires()) {
            boolean floating = point.voltsAt(wire.from().terminal()).isEmpty();
            printer.printRecord(
                    "wire",
                    wire.number(),
                    point.lostIn(wire).value(),
                    point.through(wire).value(),
                    floating ? "floating" : "driven");
        }
        printer.flush();
        return 0;
    }
}
