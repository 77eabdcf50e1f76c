package aficion.bench.reason;

import aficion.bench.reason.Belief.Verdict;
import aficion.bench.reason.NextReading.Advice;
import aficion.netlist.Conditions;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;

/**
 * What may be wrong after what was read, and what is read next.
 *
 * @param read how many readings it rests on
 * @param verdicts the likeliest first
 * @param next empty where nothing that can be read tells more
 * @param wiggle where to move leads while it is watched, of what comes and goes
 * @param explained whether something that is looked for explains what was read
 */
public record Diagnosis(
        int read,
        List<Verdict> verdicts,
        Optional<Advice> next,
        Optional<Wiggle> wiggle,
        boolean explained) {
    /** From so much on a verdict is named. */
    private static final double NAMED = 0.95;

    /** That nothing is wrong is said where it is surer still: nobody looks on after that. */
    private static final double SOUND = 0.985;

    public Diagnosis {
        verdicts = List.copyOf(verdicts);
    }

    /**
     * The diagnosis of a circuit.
     *
     * @param now where everything stands
     * @param wanted whether it is still wanted
     */
    public static Diagnosis of(
            FaultTable table, Evidence evidence, Conditions now, BooleanSupplier wanted) {
        var belief = Pairs.where(Belief.of(table, evidence), table, wanted);
        return new Diagnosis(
                evidence.readings().size(),
                belief.verdicts(),
                NextReading.of(belief, now),
                evidence.comesAndGoes() ? Wiggle.of(belief) : Optional.empty(),
                Pairs.explained(belief));
    }

    /** What is wrong, where that is as good as sure. */
    public Optional<Verdict> named() {
        return verdicts.stream()
                .findFirst()
                .filter(first -> explained && first.weight() >= (isNothing(first) ? SOUND : NAMED));
    }

    private static boolean isNothing(Verdict verdict) {
        return verdict.suspects().stream().anyMatch(suspect -> suspect.faults().isEmpty());
    }
}
