package aficion.desktop.cli;

import aficion.plan.Plan;
import aficion.quantity.UserUnits;
import aficion.words.PlanWords;
import aficion.words.Words;
import java.io.IOException;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/**
 * Prints the tasks of a job in order, a row each: how many minutes are left of it, and what it
 * waits for; or those that fit some hours and leave the vehicle safe.
 */
@Command(name = "plan", description = "Prints the work that is left, or what fits an evening.")
final class PlanCommand extends Commands.Printing {
    private static final double LEAST = 0.1;

    @Mixin private Commands.JobArgument job;

    @Option(
            names = "--hours",
            paramLabel = "HOURS",
            description = "only what fits so many hours and leaves the vehicle safe")
    private @Nullable String hours;

    @Override
    public Integer call() throws IOException {
        var loaded = job.load();
        var plan = Plan.of(loaded);
        var words = new PlanWords(loaded.design(), UserUnits.METRIC);
        var printer = printer();
        if (hours == null) {
            printer.printRecord("task", "kind", "what", "minutes", "waits");
            for (var task : plan.tasks()) {
                if (!task.isDone()) {
                    printer.printRecord(
                            task.key(),
                            task.kind().name().toLowerCase(Locale.ROOT),
                            words.name(task),
                            minutes(plan.pace().left(task)),
                            words.waits(plan, task));
                }
            }
        } else {
            printer.printRecord("step", "task", "what", "minutes", "units", "caution");
            var evening = plan.evening(60 * hours(hours));
            int step = 0;
            for (var pick : evening.picks()) {
                printer.printRecord(
                        ++step,
                        pick.task().key(),
                        words.name(pick),
                        minutes(pick.minutes()),
                        pick.units(),
                        PlanWords.caution(pick.task()).orElse(""));
            }
            err().println(PlanWords.ends(evening));
            err().println(Words.of("plan.hand", String.join(", ", words.toHand(evening))));
        }
        printer.flush();
        return 0;
    }

    /** Minutes with a tenth, so that those of an evening add up. */
    private static String minutes(double minutes) {
        return UserUnits.plain(Math.floor(10 * minutes + 1e-6) / 10);
    }

    private static double hours(String text) {
        return UserUnits.parseNumber(text).stream()
                .filter(value -> value >= LEAST && value <= Plan.LONGEST_EVENING / 60)
                .findFirst()
                .orElseThrow(() -> new Commands.BadInput(Words.of("cli.hours", text)));
    }
}
