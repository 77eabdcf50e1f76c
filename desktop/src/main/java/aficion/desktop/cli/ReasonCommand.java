package aficion.desktop.cli;

import aficion.bench.BenchPlan;
import aficion.bench.reason.Belief.Verdict;
import aficion.bench.reason.Diagnosis;
import aficion.bench.reason.Evidence;
import aficion.bench.reason.FaultTable;
import aficion.bench.reason.Suspect;
import aficion.fault.Notation;
import aficion.job.Design;
import aficion.job.PartId;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.netlist.StateText;
import aficion.quantity.UserUnits;
import aficion.words.ReasonWords;
import aficion.words.Words;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVPrinter;
import org.jspecify.annotations.Nullable;
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
    @Mixin private WhereOption where;

    @Option(
            names = "--reading",
            paramLabel = "'STATE WHERE VALUE'",
            description = {
                "what was read: 'key=run,lights=head H1.56b 0.02V', amps in a wire ('rest 5.01 0.3A'),",
                "what an eye says of a lamp ('key=run H1.56b dark': dark, dim, right, bright),",
                "a fuse (rest F6 gone), a lead (key=run 5.12 warm), a flasher (fast),",
                "volts that never settle (key=run L1.1 restless),",
                "a part whose leads were moved (key=run K2 moves, or steady) or that was warmed (K2 warms),",
                "or volts that change once all else is on (key=run H1.56b loads)"
            })
    private List<String> readings = new ArrayList<>();

    @Option(
            names = "--comes-and-goes",
            description = "the trouble is there at times only: what is right rules nothing out")
    private boolean comes;

    @Option(
            names = "--moved-last",
            paramLabel = "PART",
            description = "the part that somebody worked at last")
    private @Nullable String moved;

    @Override
    public Integer call() throws IOException {
        var design = job.load().design();
        var asked = circuit.of(design);
        var parsed = readings.stream().map(text -> ReadingText.parse(design, text)).toList();
        var now = parsed.isEmpty() ? Conditions.REST : parsed.getLast().state();
        var there = BenchPlan.tested(where.setting(), design, asked);
        var table = FaultTable.of(Netlist.of(there), asked);
        var diagnosis =
                Diagnosis.of(table, new Evidence(parsed, comes, moved(design)), now, () -> true);
        var printer = printer();
        printer.printRecord("rank", "weight", "fault", "words");
        var words = new ReasonWords(design, UserUnits.METRIC);
        int rank = 0;
        for (var verdict : diagnosis.verdicts()) {
            rank++;
            if (rank <= MOST_RANKS && (rank == 1 || verdict.weight() >= TOLD)) {
                print(printer, rank, verdict, design, words);
            }
        }
        if (diagnosis.wiggle().isPresent()) {
            var wiggle = diagnosis.wiggle().get();
            printer.printRecord(
                    "move", StateText.of(design, now), wiggle.part(), words.wiggle(wiggle));
        }
        next(printer, diagnosis, design, words);
        printer.flush();
        return 0;
    }

    private Optional<PartId> moved(Design design) {
        return Optional.ofNullable(moved).map(id -> ReadingText.part(design, id));
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
