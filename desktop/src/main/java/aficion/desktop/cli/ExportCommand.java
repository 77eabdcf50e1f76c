package aficion.desktop.cli;

import aficion.desktop.cli.Commands.BadInput;
import aficion.files.SpiceNetlist;
import aficion.words.Words;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** Prints a job in another open format. */
@Command(name = "export", description = "Prints a job in another open format.")
final class ExportCommand extends Commands.Printing {
    @Mixin private Commands.JobArgument job;
    @Mixin private StateOption state;

    @Option(
            names = "--netlist",
            description = "a SPICE netlist of the operating point in the state that is set")
    private boolean netlist;

    @Override
    public Integer call() {
        if (!netlist) {
            throw new BadInput(Words.of("cli.export.what"));
        }
        out().print(SpiceNetlist.of(state.solve(job.load().design())));
        out().flush();
        return 0;
    }
}
