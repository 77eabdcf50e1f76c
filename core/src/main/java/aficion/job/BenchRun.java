package aficion.job;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What was measured when a circuit was tested.
 *
 * @param circuit the circuit that is tested
 * @param setting where it is tested
 * @param by who tests; empty where nobody said
 * @param begun when the run was begun
 * @param readings in the order they were taken, one for each step
 */
public record BenchRun(
        CircuitId circuit,
        Setting setting,
        Optional<String> by,
        Instant begun,
        List<Reading> readings) {

    private static final int LONGEST = 200;

    /** Where a circuit is tested. */
    public enum Setting {
        /** The harness on the bench with its own loads, on a supply with a limit. */
        BENCH,
        /** The same with test lamps and resistors in place of the loads. */
        STAND_INS,
        /** On the vehicle with its battery, engine still. */
        STILL,
        /** On the vehicle, engine running. */
        RUNNING,
        /** The few readings that prove one circuit of a vehicle after a change. */
        PROOF;

        /** Whether the vehicle's battery feeds it. */
        public boolean isOnVehicle() {
            return switch (this) {
                case BENCH, STAND_INS -> false;
                case STILL, RUNNING, PROOF -> true;
            };
        }
    }

    /** A run that is begun. */
    public static BenchRun begun(
            CircuitId circuit, Setting setting, Optional<String> by, Instant at) {
        return new BenchRun(circuit, setting, by, at, List.of());
    }

    public BenchRun {
        by.ifPresent(name -> Names.requireLine("a name", name, LONGEST));
        readings = List.copyOf(readings);
    }

    /**
     * One reading.
     *
     * @param step the key of the step it answers
     * @param value what the meter showed, in the step's unit; empty for what is only looked at
     * @param against what it was held against then, as text; empty where that was not kept
     * @param verdict how it compared with what was expected then
     * @param at when it was entered
     * @param note why it was not tested, or what was seen besides
     */
    public record Reading(
            String step,
            Optional<Double> value,
            Optional<String> against,
            Verdict verdict,
            Instant at,
            Optional<String> note) {

        /** A reading that speaks for itself. */
        public Reading(String step, Optional<Double> value, Verdict verdict, Instant at) {
            this(step, value, Optional.empty(), verdict, at, Optional.empty());
        }

        public Reading {
            note.ifPresent(text -> Names.requireLine("a note", text, LONGEST));
            value.ifPresent(number -> {
                if (!Double.isFinite(number)) {
                    throw new IllegalArgumentException("a reading is a finite number");
                }
            });
        }
    }

    /**
     * How a reading compares with what is expected: within tolerance, within twice of it, or
     * neither.
     */
    public enum Verdict {
        PASS,
        NEAR,
        FAIL,
        /** It was left out, for a reason. */
        NOT_TESTED
    }

    /** The same run with that step's reading added, or replaced where it was taken before. */
    public BenchRun with(Reading reading) {
        var changed = new ArrayList<>(readings);
        changed.removeIf(earlier -> earlier.step().equals(reading.step()));
        changed.add(reading);
        return new BenchRun(circuit, setting, by, begun, changed);
    }

    /** Whether it is the same run, with more or fewer readings. */
    boolean isSame(BenchRun other) {
        return circuit.equals(other.circuit)
                && setting == other.setting
                && begun.equals(other.begun);
    }

    /** What was read at a step, by its key; empty while it is open. */
    public Optional<Reading> reading(String step) {
        return readings.stream().filter(reading -> reading.step().equals(step)).findFirst();
    }
}
