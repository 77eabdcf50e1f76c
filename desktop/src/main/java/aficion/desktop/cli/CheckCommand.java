package aficion.desktop.cli;

import aficion.check.Findings;
import aficion.check.finding.Severity;
import aficion.quantity.UserUnits;
import aficion.size.Assessment;
import aficion.words.Speech;
import aficion.words.Words;
import java.util.Locale;
import java.util.stream.Collectors;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;

/**
 * Prints a line for each finding: severity, rule, where, words, what mends it. Ends with 1 when one
 * is a danger.
 */
@Command(name = "check", description = "Prints what is wrong with a job, a line for each finding.")
final class CheckCommand extends Commands.Printing {
    @Mixin private Commands.JobArgument job;

    @Override
    public Integer call() {
        var loaded = job.load();
        var speech = new Speech(loaded.design(), UserUnits.METRIC);
        var findings = Findings.offered(Assessment.of(loaded.design()), loaded.work()).open();
        for (var group : Findings.grouped(findings)) {
            var first = group.first();
            out().println(
                            String.join(
                                    "\t",
                                    Words.of("severity", first.severity()).toLowerCase(Locale.ROOT),
                                    first.rule(),
                                    speech.where(group),
                                    speech.title(first) + ". " + speech.reason(first),
                                    first.remedies().stream()
                                            .map(speech::edit)
                                            .collect(Collectors.joining(" | "))));
        }
        boolean danger =
                findings.stream().anyMatch(finding -> finding.severity() == Severity.DANGER);
        return danger ? Commands.FOUND_DANGER : 0;
    }
}
