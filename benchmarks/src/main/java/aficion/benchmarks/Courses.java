package aficion.benchmarks;

import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.Seconds;
import aficion.simulate.Script;
import aficion.simulate.Simulation;
import aficion.simulate.SimulationResult;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.AuxCounters;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * Ten seconds of a generated vehicle whose lamps are switched every half second, with filaments,
 * fuses and battery warming, filling and emptying. Every step is solved; none is skipped.
 */
@State(Scope.Thread)
@BenchmarkMode(Mode.Throughput)
@OutputTimeUnit(TimeUnit.SECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 400, timeUnit = TimeUnit.MILLISECONDS)
@Measurement(iterations = 5, time = 300, timeUnit = TimeUnit.MILLISECONDS)
public class Courses {
    private static final long SEED = 7;
    private static final double LASTS = 10;
    private static final double EVERY = 0.5;

    @Param({"200", "2000"})
    public int nodes;

    private Netlist netlist;
    private Script script;

    /** What passes in a second of the clock. */
    @AuxCounters(AuxCounters.Type.OPERATIONS)
    @State(Scope.Thread)
    public static class Passed {
        public long steps;
        public long seconds;
    }

    @Setup
    public void vehicle() {
        var design = Vehicles.of(nodes, SEED);
        netlist = Netlist.of(design);
        var busy = Vehicles.busy(design, SEED);
        var switched = Vehicles.switched(busy);
        var moments = new ArrayList<Script.Moment>();
        for (double at = 0; at < LASTS; at += EVERY) {
            var conditions = moments.size() % 2 == 0 ? busy : switched;
            moments.add(new Script.Moment(new Seconds(at), conditions));
        }
        script = new Script(Conditions.REST, moments, new Seconds(LASTS));
    }

    @Benchmark
    public SimulationResult course(Passed passed) {
        var result = Simulation.run(netlist, script, List.of());
        passed.steps += result.steps();
        passed.seconds += (long) LASTS;
        return result;
    }
}
