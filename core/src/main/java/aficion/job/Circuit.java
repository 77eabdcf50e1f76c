package aficion.job;

import java.util.Collections;
import java.util.EnumSet;
import java.util.Set;

/**
 * A circuit: what is planned, made and tested together.
 *
 * @param id its identity
 * @param number its place in the working order, from 1
 * @param name what it is, in the user's words
 * @param drops how much voltage it may lose
 * @param done the stages that are finished
 */
public record Circuit(CircuitId id, int number, String name, Drops drops, Set<Stage> done) {
    public Circuit {
        done = done.isEmpty() ? Set.of() : Collections.unmodifiableSet(EnumSet.copyOf(done));
    }

    /**
     * How much voltage a circuit may lose: charging, headlamps, ignition, gauges are strict, the
     * rest ordinary.
     */
    public enum Drops {
        STRICT,
        ORDINARY
    }

    /** The stages of the work on a circuit, in order. */
    public enum Stage {
        PLANNED,
        SIZED,
        LABELLED,
        MADE,
        TESTED,
        FITTED
    }

    public Circuit withDone(Stage stage, boolean finished) {
        var changed = EnumSet.noneOf(Stage.class);
        changed.addAll(done);
        if (finished) {
            changed.add(stage);
        } else {
            changed.remove(stage);
        }
        return new Circuit(id, number, name, drops, changed);
    }

    public Circuit withDrops(Drops changed) {
        return new Circuit(id, number, name, changed, done);
    }

    public Circuit withName(String changed) {
        return new Circuit(id, number, changed, drops, done);
    }
}
