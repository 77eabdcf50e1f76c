package aficion.desktop.cli;

import aficion.charge.Balance;
import aficion.charge.Situation;
import aficion.files.sheet.PowerSheet;
import aficion.job.Job;
import aficion.quantity.UserUnits;
import aficion.words.PowerWords;
import aficion.words.Words;
import java.io.IOException;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/**
 * Prints what the source gives against what the loads take over engine speed, in a situation; one
 * row alone where the engine does not run. The speed from which on it suffices, and how long the
 * battery lasts, go to the error output.
 */
@Command(name = "power", description = "Prints what the source gives against what the loads take.")
final class PowerCommand extends Commands.Printing {
    @Mixin private Commands.JobArgument job;

    @Option(
            names = "--situation",
            paramLabel = "NAME",
            description = "day, wet-night (the usual), cranking, parked, work")
    private @Nullable String name;

    @Override
    public Integer call() throws IOException {
        var loaded = job.load();
        var sums = loaded.work().sums();
        var balance = Balance.of(loaded.design(), situation(loaded), sums);
        PowerSheet.writeCsv(balance, out());
        var words = new PowerWords(UserUnits.METRIC);
        if (balance.situation().turns()) {
            err().println(words.even(balance));
        }
        err().println((words.fares(balance) + " " + words.held(balance)).strip());
        return 0;
    }

    private Situation situation(Job loaded) {
        var design = loaded.design();
        var sums = loaded.work().sums();
        var wanted = name == null ? Situation.WET_NIGHT : name;
        return Situation.find(design, sums, wanted)
                .orElseThrow(() ->
                        new Commands.BadInput(
                                Words.of(
                                        "cli.situation",
                                        wanted,
                                        Situation.of(design, sums).stream()
                                                .map(Situation::name)
                                                .collect(Collectors.joining(", ")))));
    }
}
