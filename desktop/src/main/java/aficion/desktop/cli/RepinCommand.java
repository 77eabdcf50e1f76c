package aficion.desktop.cli;

import aficion.change.Repinning;
import aficion.files.ProbeList;
import aficion.words.IdentifyWords;
import aficion.words.Words;
import java.io.IOException;
import picocli.CommandLine.Command;
import picocli.CommandLine.Parameters;

/**
 * Prints how a plug is changed so that it fits another device: what is opened, comes off, moves, is
 * new, is closed and stays, in the order of the work. What is to be known before power is on goes
 * to the error output.
 */
@Command(
        name = "repin",
        description = "Prints the moves that make one plug fit another device, in order.")
final class RepinCommand extends Commands.Printing {
    @Parameters(
            index = "0",
            paramLabel = "FROM",
            description = "the plug as it is: a table way,function,colour; function may be blocked")
    private String from;

    @Parameters(index = "1", paramLabel = "TO", description = "the plug as the device wants it")
    private String to;

    @Override
    public Integer call() throws IOException {
        var was = Commands.table(from, ProbeList::plug);
        var wants = Commands.table(to, ProbeList::plug);
        Repinning.Found found;
        try {
            found = Repinning.of(was, wants);
        } catch (IllegalArgumentException e) {
            throw new Commands.BadInput(Words.of("cli.list", from + ", " + to, e.getMessage()));
        }
        var printer = printer();
        printer.printRecord("step", "action", "function", "from", "to", "colour");
        int number = 0;
        for (var step : found.steps()) {
            printer.printRecord(
                    ++number,
                    Words.of("repin", step.action()),
                    step.function(),
                    step.from(),
                    step.to(),
                    step.colour());
        }
        printer.flush();
        found.notes().forEach(note -> err().println(IdentifyWords.note(note)));
        return 0;
    }
}
