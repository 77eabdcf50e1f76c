package aficion.benchmarks;

import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.runner.options.VerboseMode;

/**
 * Runs everything once and prints the ratios of {@code docs/PERFORMANCE.md} as a table. Of each
 * figure the best iteration of three rounds counts: what disturbs one only makes it longer.
 */
public final class Report {
    private static final List<Integer> SIZES = List.of(60, 200, 600, 2000, 10000);

    private static final int ROUNDS = 3;

    /** The outside solver tells whole milliseconds. */
    private static final double COARSE = 10_000;

    private final Map<String, Double> best = new LinkedHashMap<>();

    private Report() {}

    public static void main(String[] arguments)
            throws RunnerException, IOException, InterruptedException {
        var report = new Report();
        for (int round = 0; round < ROUNDS; round++) {
            report.measure();
            report.outside();
        }
        report.points();
        report.ratios();
        report.rest();
    }

    private void measure() throws RunnerException {
        var options =
                new OptionsBuilder()
                        .include(OperatingPoints.class.getName() + ".*")
                        .include(Courses.class.getName() + ".*")
                        .include(Sweeps.class.getName() + ".*")
                        .jvmArgsAppend("-XX:+UseSerialGC")
                        .verbosity(VerboseMode.SILENT)
                        .build();
        for (var result : new Runner(options).run()) {
            var size = result.getParams().getParam("nodes");
            var name = result.getPrimaryResult().getLabel() + (size == null ? "" : "@" + size);
            best.merge(name, result.getPrimaryResult().getStatistics().getMin(), Math::min);
            result.getSecondaryResults()
                    .forEach((label, more) ->
                            best.merge(
                                    label + "@" + size, more.getStatistics().getMax(), Math::max));
        }
    }

    private void outside() throws IOException, InterruptedException {
        if (Outside.installed()) {
            for (int size : SIZES) {
                var times = Outside.of(size);
                best.merge("first@" + size, times.first(), Math::min);
                best.merge("each@" + size, times.each(), Math::min);
            }
        }
    }

    private double of(String name, int size) {
        return best.get(name + "@" + size);
    }

    private void points() {
        line(
                "| nodes | linear µs | warm µs | ÷ linear | rough µs | answer µs | one switch µs"
                        + " | cold µs |");
        line("| --- | --- | --- | --- | --- | --- | --- | --- |");
        for (int size : SIZES) {
            line(
                    "| %d | %.1f | %.1f | %.2f | %.1f | %.1f | %.1f | %.0f |",
                    size,
                    of("linear", size),
                    of("warm", size),
                    of("warm", size) / of("linear", size),
                    of("warmRough", size),
                    of("answered", size),
                    of("oneSwitch", size),
                    of("cold", size));
        }
        double growth = Math.log(of("warm", 2000) / of("warm", 60)) / Math.log(2000.0 / 60);
        line("");
        line("Growth exponent of a warm point, 60 to 2000 nodes: %.2f", growth);
    }

    private void ratios() {
        line("");
        if (!Outside.installed()) {
            line("The outside solver is not installed.");
            return;
        }
        line("| nodes | outside solver, a point ÷ rough | ÷ warm | its first point ÷ cold |");
        line("| --- | --- | --- | --- |");
        for (int size : SIZES) {
            double first = of("first", size);
            line(
                    "| %d | %.1f | %.1f | %s |",
                    size,
                    of("each", size) / of("warmRough", size),
                    of("each", size) / of("warm", size),
                    first < COARSE ? "-" : "%.1f".formatted(first / of("cold", size)));
        }
    }

    private void rest() {
        line("");
        double warm = of("warm", Sweeps.NODES);
        line("Sweep of a state: %.0f warm points", best.get("oneState") / warm);
        line("Sweep of five states: %.0f warm points", best.get("fiveStates") / warm);
        for (int size : List.of(200, 2000)) {
            line(
                    "At %d nodes: %.0f time steps, %.0f simulated seconds a second",
                    size, of("steps", size), of("seconds", size));
        }
    }

    private static void line(String format, Object... values) {
        System.out.printf(Locale.ROOT, format + "%n", values);
    }
}
