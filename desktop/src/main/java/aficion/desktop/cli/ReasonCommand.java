package aficion.desktop.cli;

import aficion.bench.reason.Belief.Verdict;
import aficion.bench.reason.Diagnosis;
import aficion.bench.reason.FaultTable;
import aficion.bench.reason.Suspect;
import aficion.fault.Notation;
import aficion.job.Design;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.netlist.StateText;
import aficion.quantity.UserUnits;
import aficion.words.ReasonWords;
import aficion.words.Words;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/**
 * Prints what may be wrong with a circuit after some readings, a row a fault, the likeliest first:
 * faults that look the same have one rank and one weight, that of all of them. The last line is the
 * reading to take next.
 */
@Command(
        name = "reason",
        description =
                "Prints what is wrong with a circuit by what was read, and what to read next.")
final class ReasonCommand extends Commands.Printing {
    /** What is less likely is not told. */
    private static final double TOLD = 0.001;

    private static final int MOST_RANKS = 20;

    @Mixin private Commands.JobArgument job;
    @Mixin private CircuitOption circuit;

    @Option(
            names = "--reading",
            paramLabel = "'STATE WHERE VALUE'",
            description = {
                "what was read: 'key=run,lights=head H1.56b 0.02V', amps in a wire ('rest 5.01 0.3A'),",
                "or what an eye says of a lamp ('key=run H1.56b dark': dark, dim, right, bright)"
            })
    private List<String> readings = new ArrayList<>();

    @Override
    public Integer call() throws IOException {
        var design = job.load().design();
        var asked = circuit.of(design);
        var parsed = readings.stream().map(text -> ReadingText.parse(design, text)).toList();
        var now = parsed.isEmpty() ? Conditions.REST : parsed.getLast().state();
        var table = FaultTable.of(Netlist.of(design), asked);
        var diagnosis = Diagnosis.of(table, parsed, now, () -> true);
        var printer = CSVFormat.RFC4180.builder().setRecordSeparator("\n").get().print(out());
        printer.printRecord("rank", "weight", "fault", "words");
        var words = new ReasonWords(design, UserUnits.METRIC);
        int rank = 0;
        for (var verdict : diagnosis.verdicts()) {
            rank++;
            if (rank <= MOST_RANKS && (rank == 1 || verdict.weight() >= TOLD)) {
                print(printer, rank, verdict, design, words);
            }
        }
        next(printer, diagnosis, design, words);
        printer.flush();
        return 0;
    }

    private static void print(
            CSVPrinter printer, int rank, Verdict verdict, Design design, ReasonWords words)
            throws IOException {
        for (var suspect : verdict.suspects()) {
            printer.printRecord(
                    rank, verdict.weight(), text(design, suspect), words.suspect(suspect));
        }
    }

    private static String text(Design design, Suspect suspect) {
        return suspect.faults().isEmpty()
                ? "none"
                : suspect.faults().stream()
                        .map(fault -> Notation.of(design, fault))
                        .collect(Collectors.joining(" + "));
    }

    private static void next(
            CSVPrinter printer, Diagnosis diagnosis, Design design, ReasonWords words)
            throws IOException {
        var note = diagnosis.explained() ? "" : Words.of("reason.unexplained") + " ";
        if (diagnosis.next().isPresent()) {
            var advice = diagnosis.next().get();
            printer.printRecord(
                    "next",
                    StateText.of(design, advice.state()),
                    advice.at(),
                    note + words.why(advice));
        } else {
            printer.printRecord("next", "", "", note + words.nothingMore());
        }
    }
}
