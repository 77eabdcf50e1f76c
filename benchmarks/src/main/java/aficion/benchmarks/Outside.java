package aficion.benchmarks;

import aficion.files.SpiceNetlist;
import aficion.netlist.Netlist;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import java.io.IOException;
import java.nio.file.Files;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;

/** What a general circuit solver takes for the same netlists, where it is installed. */
final class Outside {
    private static final long SEED = 7;
    private static final int WORK = 400_000;
    private static final double FROM = 12.0;
    private static final double TO = 12.7;
    private static final Pattern SOURCE = Pattern.compile("(?m)^V\\d+");
    private static final Pattern ANALYSIS =
            Pattern.compile("Total analysis time \\(seconds\\) = ([0-9.e-]+)");

    private Outside() {}

    /** Microseconds of the first operating point, and of each further one. */
    record Times(double first, double each) {}

    /** Whether the solver answers. */
    static boolean installed() {
        try {
            return new ProcessBuilder("ngspice", "--version")
                            .redirectErrorStream(true)
                            .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                            .start()
                            .waitFor()
                    == 0;
        } catch (IOException missing) {
            return false;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }

    /** The times for a generated vehicle, at the solver's own tolerances, volts swept finely. */
    static Times of(int nodes) throws IOException, InterruptedException {
        var design = Vehicles.of(nodes, SEED);
        var outcome = new Solver(Netlist.of(design)).solve(Vehicles.busy(design, SEED));
        if (!(outcome instanceof Outcome.Solved(var point))) {
            throw new IllegalStateException("the vehicle has no operating point");
        }
        var netlist = SpiceNetlist.of(point);
        var source = SOURCE.matcher(netlist).results().findFirst().map(MatchResult::group);
        var deck =
                netlist.replaceAll("(?m)^\\.op$", "")
                        .replaceAll("(?m)^\\* terminal.*$", "")
                        .replaceAll(" (rel|abs|vn)tol=\\S+| gmin=\\S+", "");
        int points = Math.clamp(WORK / nodes, 100, 2000);
        var control =
                """
                .control
                save n1
                op
                rusage all
                dc %s %s %s %s
                rusage all
                .endc
                .end
                """
                        .formatted(source.orElseThrow(), FROM, TO, (TO - FROM) / points);
        var found = ANALYSIS.matcher(run(deck + control)).results().toList();
        double op = Double.parseDouble(found.get(0).group(1));
        double all = Double.parseDouble(found.get(1).group(1));
        return new Times(1e6 * op, 1e6 * (all - op) / points);
    }

    private static String run(String deck) throws IOException, InterruptedException {
        var file = Files.createTempFile("vehicle", ".cir");
        try {
            Files.writeString(file, deck);
            var process =
                    new ProcessBuilder("ngspice", "-b", file.toString())
                            .redirectErrorStream(true)
                            .start();
            var said = new String(process.getInputStream().readAllBytes());
            process.waitFor();
            return said;
        } finally {
            Files.delete(file);
        }
    }
}
