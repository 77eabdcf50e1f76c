package aficion.benchmarks;

import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.Ratio;
import aficion.solve.Network;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import aficion.solve.linear.Conductances;
import aficion.solve.linear.Elimination;
import java.util.Random;
import java.util.concurrent.TimeUnit;
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

/** Operating points of generated vehicles, and what the bare linear algebra of one costs. */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 400, timeUnit = TimeUnit.MILLISECONDS)
@Measurement(iterations = 5, time = 300, timeUnit = TimeUnit.MILLISECONDS)
public class OperatingPoints {
    private static final long SEED = 7;

    @Param({"60", "200", "430", "600", "2000", "10000"})
    public int nodes;

    private Netlist netlist;
    private Conditions busy;
    private Conditions switched;
    private Network network;
    private Network rough;
    private Solver solver;
    private Conditions[] charges;
    private Conductances matrix;
    private int[] one;
    private int[] other;
    private int[] entry;
    private double[] siemens;
    private double[] volts;
    private int turn;

    @Setup
    public void vehicle() {
        var design = Vehicles.of(nodes, SEED);
        netlist = Netlist.of(design);
        busy = Vehicles.busy(design, SEED);
        switched = Vehicles.switched(busy);
        solver = new Solver(netlist);
        if (!(solver.solve(busy) instanceof Outcome.Solved)) {
            throw new IllegalStateException("the vehicle has no operating point");
        }
        charges = new Conditions[256];
        for (int i = 0; i < charges.length; i++) {
            charges[i] = busy.withCharge(new Ratio(0.5 + 0.5 * i / charges.length));
        }
        network = solver.network();
        rough = new Network(netlist, busy, Network.Accuracy.ROUGH);
        new Solver(rough).comesToRest();
        bare();
    }

    private void bare() {
        int size = netlist.size();
        one = new int[size];
        other = new int[size];
        siemens = new double[size];
        var random = new Random(SEED);
        for (int i = 0; i < size; i++) {
            one[i] = netlist.a(i) - 1;
            other[i] = netlist.b(i) - 1;
            siemens[i] = Math.pow(10, random.nextDouble(-1, 3));
        }
        var from = one.clone();
        var to = other.clone();
        for (int i = 0; i < size; i++) {
            if (from[i] < 0 || to[i] < 0) {
                from[i] = 0;
                to[i] = 0;
            }
        }
        matrix = new Conductances(Elimination.of(netlist.nodes() - 1, from, to));
        entry = new int[size];
        for (int i = 0; i < size; i++) {
            boolean inner = one[i] >= 0 && other[i] >= 0;
            entry[i] = inner ? matrix.entry(one[i], other[i]) : -1;
            one[i] = one[i] < 0 ? -1 : matrix.rank(one[i]);
            other[i] = other[i] < 0 ? -1 : matrix.rank(other[i]);
        }
        volts = new double[netlist.nodes() - 1];
    }

    /** One linear refactor and solve of the same pattern, with an ordering of its own. */
    @Benchmark
    public double linear() {
        matrix.clear();
        for (int i = 0; i < siemens.length; i++) {
            if (entry[i] >= 0) {
                matrix.addLink(entry[i], siemens[i]);
            } else if (one[i] >= 0) {
                matrix.addLeak(one[i], siemens[i]);
            } else if (other[i] >= 0) {
                matrix.addLeak(other[i], siemens[i]);
            }
        }
        for (int rank = 0; rank < volts.length; rank++) {
            matrix.addLeak(rank, 1e-3);
        }
        matrix.inject(0, 1);
        if (!matrix.reduce()) {
            throw new IllegalStateException("singular");
        }
        matrix.begin();
        matrix.factor();
        matrix.solve();
        matrix.spread(volts);
        return volts[0];
    }

    /** The next operating point of a battery that runs down, coils where they stand. */
    @Benchmark
    public double warm() {
        network.meet(charges[turn++ & 255]);
        if (!network.solve()) {
            throw new IllegalStateException("not found");
        }
        return network.volts(1);
    }

    /** The same within a ten thousandth. */
    @Benchmark
    public double warmRough() {
        rough.meet(charges[turn++ & 255]);
        if (!rough.solve()) {
            throw new IllegalStateException("not found");
        }
        return rough.volts(1);
    }

    /** The same as the whole answer a screen gets, coils from rest, checked. */
    @Benchmark
    public Outcome answered() {
        return solver.solve(charges[turn++ & 255]);
    }

    /** A switch thrown to and fro, whole answers. */
    @Benchmark
    public Outcome oneSwitch() {
        return solver.solve((turn++ & 1) == 0 ? switched : busy);
    }

    /** Ordering and all, from nothing. */
    @Benchmark
    public Outcome cold() {
        return new Solver(netlist).solve(busy);
    }
}
