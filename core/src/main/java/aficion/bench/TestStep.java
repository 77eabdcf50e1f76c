package aficion.bench;

import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.WireId;
import aficion.netlist.Conditions;
import java.util.Optional;

/**
 * One step of a test run.
 *
 * @param key its name in the records; the same step of the same design has the same key
 * @param task what to do
 * @param expected what the meter should show; empty for what is only looked at
 */
public record TestStep(String key, Task task, Optional<Expected> expected) {

    /** The stages of a run, in the order they are worked. */
    public enum Stage {
        LOOK,
        CONTINUITY,
        ISOLATION,
        QUIET,
        STATES
    }

    /** What to do in a step. */
    public sealed interface Task {
        Stage stage();

        /** The position everything is to be in; empty where the power is off. */
        default Optional<Conditions> state() {
            return switch (this) {
                case Quiet(_, var conditions) -> Optional.of(conditions);
                case AmpsIn(_, var conditions) -> Optional.of(conditions);
                case VoltsAt(_, var conditions) -> Optional.of(conditions);
                case Look _, LookAt _, Continuity _, Isolation _ -> Optional.empty();
            };
        }
    }

    /** Look at the ends of a wire: pins home, no strands out, labels on. */
    public record Look(WireId wire) implements Task {
        @Override
        public Stage stage() {
            return Stage.LOOK;
        }
    }

    /** Look at all that ends at a part, and tug at it. */
    public record LookAt(PartId part) implements Task {
        @Override
        public Stage stage() {
            return Stage.LOOK;
        }
    }

    /** Measure a wire from end to end. */
    public record Continuity(WireId wire) implements Task {
        @Override
        public Stage stage() {
            return Stage.CONTINUITY;
        }
    }

    /** Measure from a terminal to earth with the loads unplugged. */
    public record Isolation(Terminal terminal) implements Task {
        @Override
        public Stage stage() {
            return Stage.ISOLATION;
        }
    }

    /** Everything off: nothing may flow in the wire that feeds the circuit. */
    public record Quiet(WireId feed, Conditions conditions) implements Task {
        @Override
        public Stage stage() {
            return Stage.QUIET;
        }
    }

    /** Measure the current in a wire, in a state. */
    public record AmpsIn(WireId wire, Conditions conditions) implements Task {
        @Override
        public Stage stage() {
            return Stage.STATES;
        }
    }

    /** Measure the volts between a terminal and the vehicle's earth, in a state. */
    public record VoltsAt(Terminal terminal, Conditions conditions) implements Task {
        @Override
        public Stage stage() {
            return Stage.STATES;
        }
    }
}
