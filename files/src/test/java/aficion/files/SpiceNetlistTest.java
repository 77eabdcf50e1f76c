package aficion.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assumptions.assumeThat;

import aficion.job.Design;
import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.netlist.Netlist;
import aficion.netlist.OperatingStates;
import aficion.quantity.Rpm;
import aficion.solve.OperatingPoint;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.HashMap;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** The netlist, and a general circuit solver's volts against ours where one is installed. */
class SpiceNetlistTest {
    private static final Pattern VALUE = Pattern.compile("^(n\\d+) = (\\S+)$", Pattern.MULTILINE);

    @TempDir private Path folder;

    @ParameterizedTest
    @CsvSource({
        "roadster, 0", "roadster, 800", "roadster, 3500",
        "motorcycle, 0", "motorcycle, 1500", "motorcycle, 5000",
        "tractor, 0", "tractor, 700", "tractor, 2000"
    })
    void everyTerminalIsNamedAndTheLastLineAsksForTheOperatingPoint(String demo, double rpm)
            throws IOException {
        var design = DemoJobs.find(demo).orElseThrow().design();
        var point = busy(design, rpm);

        var text = SpiceNetlist.of(point);

        var lines = text.lines().toList();
        assertThat(lines.getLast()).isEqualTo(".op");
        for (var part : design.parts()) {
            for (var terminal : part.terminals()) {
                assertThat(lines)
                        .filteredOn(line -> line.startsWith("* terminal " + terminal + " node "))
                        .hasSize(1);
            }
        }
    }

    /** Within 1 mV and a thousandth, at every node that does not float. */
    @ParameterizedTest
    @CsvSource({
        "roadster, 0", "roadster, 800", "roadster, 3500",
        "motorcycle, 0", "motorcycle, 1500", "motorcycle, 5000",
        "tractor, 0", "tractor, 700", "tractor, 2000"
    })
    void aGeneralCircuitSolverFindsOurVolts(String demo, double rpm) throws Exception {
        assumeThat(installed()).as("ngspice is installed").isTrue();

        compare(busy(DemoJobs.find(demo).orElseThrow().design(), rpm));
    }

    /** With next to nothing on, regulators hold their volts where they sense them. */
    @ParameterizedTest
    @CsvSource({"roadster", "motorcycle", "tractor"})
    void itFindsOurVoltsWhereRegulatorsHoldThem(String demo) throws Exception {
        assumeThat(installed()).as("ngspice is installed").isTrue();
        var design = DemoJobs.find(demo).orElseThrow().design();
        var key = Controls.of(design).key().orElseThrow();
        for (var position : key.positions()) {
            for (double rpm : new double[] {0, 1500, 6000}) {
                var state = Conditions.REST.withEngine(new Rpm(rpm));
                var outcome =
                        new Solver(Netlist.of(design))
                                .solve(state.with(key.name(), position.name()));
                compare(((Outcome.Solved) outcome).point());
            }
        }
    }

    static Stream<Corpus.Case> cases() {
        return Corpus.cases().stream();
    }

    /**
     * The same of every mistake of the corpus and its twin, still and running, wherever it rests.
     */
    @ParameterizedTest
    @MethodSource("cases")
    void itFindsOurVoltsInTheCorpus(Corpus.Case each) throws Exception {
        assumeThat(installed()).as("ngspice is installed").isTrue();
        var jobs = Stream.concat(Stream.of(each.design()), each.twin().stream()).toList();
        int compared = 0;
        for (var design : jobs) {
            for (double rpm : new double[] {0, 2500}) {
                var state = heaviest(design, new Solver(Netlist.of(design)), rpm);
                if (new Solver(Netlist.of(design)).solve(state)
                        instanceof Outcome.Solved(var point)) {
                    compare(point);
                    compared++;
                }
            }
        }
        assertThat(compared).isPositive();
    }

    private void compare(OperatingPoint point) throws Exception {
        var volts = solved(SpiceNetlist.of(point));
        for (int node = 1; node < point.netlist().nodes(); node++) {
            if (!point.floats(node)) {
                double ours = point.nodeVolts(node);
                assertThat(volts).containsKey("n" + node);
                assertThat(volts.get("n" + node))
                        .as("node %d", node)
                        .isCloseTo(ours, within(0.001 + 0.001 * Math.abs(ours)));
            }
        }
    }

    private static OperatingPoint busy(Design design, double rpm) {
        var solver = new Solver(Netlist.of(design));
        return ((Outcome.Solved) solver.solve(heaviest(design, solver, rpm))).point();
    }

    /** The key where the most is on, and everything a hand can leave on. */
    private static Conditions heaviest(Design design, Solver solver, double rpm) {
        var running = Conditions.REST.withEngine(new Rpm(rpm));
        var turned =
                Controls.of(design).key().stream()
                        .flatMap(key ->
                                key.positions().stream()
                                        .filter(position -> !position.springs())
                                        .map(position ->
                                                running.with(key.name(), position.name())));
        return Stream.concat(Stream.of(running), turned)
                .map(state -> OperatingStates.heaviest(design, state, each -> drawn(solver, each)))
                .max(Comparator.comparingDouble(state -> drawn(solver, state)))
                .orElseThrow();
    }

    private static double drawn(Solver solver, Conditions state) {
        return solver.solve(state) instanceof Outcome.Solved(var point)
                ? aficion.size.Supply.of(point).drawn().value()
                : 0;
    }

    private static boolean installed() {
        try {
            return new ProcessBuilder("ngspice", "--version")
                            .redirectErrorStream(true)
                            .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                            .start()
                            .waitFor()
                    == 0;
        } catch (IOException e) {
            return false;
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    private Map<String, Double> solved(String netlist) throws Exception {
        var file = folder.resolve("job.cir");
        Files.writeString(
                file,
                netlist + ".control\nset numdgt=10\nop\nprint all\n.endc\n.end\n",
                StandardCharsets.UTF_8);
        var process =
                new ProcessBuilder("ngspice", "-b", file.toString())
                        .redirectErrorStream(true)
                        .redirectOutput(folder.resolve("job.out").toFile())
                        .start();
        assertThat(process.waitFor(60, TimeUnit.SECONDS)).as("it comes to an end").isTrue();
        var output = Files.readString(folder.resolve("job.out"));
        var found = new HashMap<String, Double>();
        VALUE.matcher(output)
                .results()
                .forEach(match -> found.put(match.group(1), Double.parseDouble(match.group(2))));
        assertThat(found).as(output).isNotEmpty();
        return found;
    }
}
