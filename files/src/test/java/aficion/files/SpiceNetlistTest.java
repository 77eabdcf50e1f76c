package aficion.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assumptions.assumeThat;

import aficion.job.Job;
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
import java.util.HashMap;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

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
        var job = DemoJobs.find(demo).orElseThrow();
        var point = busy(job, rpm);

        var text = SpiceNetlist.of(point);

        var lines = text.lines().toList();
        assertThat(lines.getLast()).isEqualTo(".op");
        for (var part : job.parts()) {
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
        var job = DemoJobs.find(demo).orElseThrow();
        var point = busy(job, rpm);

        var volts = solved(SpiceNetlist.of(point));

        int compared = 0;
        for (int node = 1; node < point.netlist().nodes(); node++) {
            var theirs = volts.get("n" + node);
            if (theirs != null && !point.floats(node)) {
                assertThat(theirs)
                        .as("node %d", node)
                        .isCloseTo(
                                point.nodeVolts(node),
                                within(0.001 + 0.001 * Math.abs(point.nodeVolts(node))));
                compared++;
            }
        }
        assertThat(compared).isGreaterThan(point.netlist().nodes() / 2);
    }

    /** The key where the most is on, and everything a hand can leave on. */
    private static OperatingPoint busy(Job job, double rpm) {
        var solver = new Solver(Netlist.of(job));
        var running = Conditions.REST.withEngine(new Rpm(rpm));
        var key = Controls.of(job).key().orElseThrow();
        var best = running;
        double most = 0;
        for (var position : key.positions()) {
            var state = running.with(key.name(), position.name());
            var heaviest = OperatingStates.heaviest(job, state, each -> drawn(solver, each));
            if (!position.springs() && drawn(solver, heaviest) > most) {
                most = drawn(solver, heaviest);
                best = heaviest;
            }
        }
        return ((Outcome.Solved) solver.solve(best)).point();
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
                        .start();
        var output = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        process.waitFor();
        var found = new HashMap<String, Double>();
        VALUE.matcher(output)
                .results()
                .forEach(match -> found.put(match.group(1), Double.parseDouble(match.group(2))));
        assertThat(found).as(output).isNotEmpty();
        return found;
    }
}
