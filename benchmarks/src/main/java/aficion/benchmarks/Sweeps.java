package aficion.benchmarks;

import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.sweep.Effect;
import aficion.sweep.Sweep;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** Every fault of a generated vehicle of about 300 wires. */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 400, timeUnit = TimeUnit.MILLISECONDS)
@Measurement(iterations = 5, time = 300, timeUnit = TimeUnit.MILLISECONDS)
public class Sweeps {
    static final int NODES = 430;
    private static final long SEED = 7;

    private Sweep sweep;
    private Conditions busy;
    private List<Conditions> states;

    @Setup
    public void vehicle() {
        var design = Vehicles.of(NODES, SEED);
        sweep = Sweep.of(Netlist.of(design));
        busy = Vehicles.busy(design, SEED);
        states =
                List.of(
                        Conditions.REST,
                        busy,
                        Vehicles.switched(busy),
                        Vehicles.busy(design, SEED + 1),
                        Vehicles.busy(design, SEED + 2));
    }

    /** In one state. */
    @Benchmark
    public List<Effect> oneState() {
        return sweep.effects(List.of(busy), _ -> true);
    }

    /** In five states, one of them at rest. */
    @Benchmark
    public List<Effect> fiveStates() {
        return sweep.effects(states, _ -> true);
    }
}
