package aficion.bench;

import aficion.bench.reason.FaultTable;
import aficion.job.BenchRun.Setting;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.quantity.Amps;
import aficion.solve.Solver;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The test run of one circuit, in the order it is worked: look, continuity of every wire, isolation
 * of every live net, key off, then every state of the key and the circuit's own switches that
 * changes something. What the meter should show comes from the solver, with the battery alone.
 *
 * @param circuit the circuit that is tested
 * @param setting where it is tested
 * @param steps in order
 * @param coverage what a run of few readings notices
 * @param lamps what the warning lamps show, where the engine runs
 */
public record BenchPlan(
        CircuitId circuit,
        Setting setting,
        List<TestStep> steps,
        Optional<Coverage> coverage,
        Optional<WarningLamps> lamps) {
    public BenchPlan {
        steps = List.copyOf(steps);
    }

    /**
     * What a run notices.
     *
     * @param noticed how many faults its readings show
     * @param unnoticed how many no reading shows: a look, a tug or ohms is all there is
     * @param notices how many faults a step is the first to show, by its key
     * @param drawn the most that the vehicle draws in any state of the run
     */
    public record Coverage(int noticed, int unnoticed, Map<String, Integer> notices, Amps drawn) {
        public Coverage {
            notices = Map.copyOf(notices);
        }
    }

    /**
     * The run that a person will really do on the bench: a look and a tug at each part, ohms for
     * what volts do not show, isolation, key off, and the fewest readings that notice all that can
     * be noticed, function by function.
     */
    public static BenchPlan telling(FaultTable table, CircuitId circuit) {
        return of(Setting.BENCH, table, circuit);
    }

    /**
     * The design as it lies where a circuit is tested: with stand-ins where they are clipped in.
     */
    public static Design tested(Setting setting, Design design, CircuitId circuit) {
        return setting == Setting.STAND_INS ? StandIns.of(design, circuit).design() : design;
    }

    /**
     * The run for where a circuit is tested.
     *
     * @param table of the design that is {@link #tested} there
     */
    public static BenchPlan of(Setting setting, FaultTable table, CircuitId circuit) {
        return RunMaker.plan(table, circuit, setting);
    }

    /** The plan for a circuit of the solver's design; without wires it has no steps. */
    public static BenchPlan of(Solver solver, CircuitId circuit) {
        return new EveryReading(solver, circuit).plan();
    }

    /** The step of a key; empty when the plan has none. */
    public Optional<TestStep> find(String key) {
        return steps.stream().filter(step -> step.key().equals(key)).findFirst();
    }
}
