package aficion.bench;

import aficion.bench.reason.Sign;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.WireId;
import aficion.netlist.Conditions;
import java.util.List;
import java.util.Optional;

/**
 * One step of a test run.
 *
 * @param key its name in the records; the same step of the same design has the same key
 * @param stage when in the run it comes
 * @param task what to do
 * @param expected what the meter should show; empty for what is only looked at
 */
public record TestStep(String key, Stage stage, Task task, Optional<Expected> expected) {

    /** The stages of a run, in the order they are worked. */
    public enum Stage {
        LOOK,
        CONTINUITY,
        ISOLATION,
        BATTERY,
        QUIET,
        STATES,
        CRANKING,
        RUNNING,
        AFTER
    }

    /** What a step is about, so that it can be shown where that is. */
    public sealed interface Subject {
        /** A wire. */
        record OfWire(WireId wire) implements Subject {}

        /** A part. */
        record OfPart(PartId part) implements Subject {}

        /** A terminal. */
        record OfTerminal(Terminal terminal) implements Subject {}
    }

    /** What to do in a step. */
    public sealed interface Task {
        /** Where it is done. */
        default Subject about() {
            return switch (this) {
                case Look(var wire) -> new Subject.OfWire(wire);
                case LookAt(var part) -> new Subject.OfPart(part);
                case Continuity(var wire) -> new Subject.OfWire(wire);
                case Through(_, var from, _, _) -> new Subject.OfTerminal(from);
                case Isolation(var at) -> new Subject.OfTerminal(at);
                case Quiet(var wire, _) -> new Subject.OfWire(wire);
                case AmpsIn(var wire, _) -> new Subject.OfWire(wire);
                case VoltsAt(var at, _) -> new Subject.OfTerminal(at);
                case Works(var signs, _) -> new Subject.OfPart(signs.getFirst().part());
                case Check(_, var part, _) -> new Subject.OfPart(part);
                case Leave(var parts) -> new Subject.OfPart(parts.getFirst());
                case ClipIn(var lamps) -> new Subject.OfPart(lamps.getFirst().part());
            };
        }

        /** The position everything is to be in; empty where that does not matter. */
        default Optional<Conditions> state() {
            return switch (this) {
                case Quiet(_, var conditions) -> Optional.of(conditions);
                case AmpsIn(_, var conditions) -> Optional.of(conditions);
                case VoltsAt(_, var conditions) -> Optional.of(conditions);
                case Works(_, var conditions) -> Optional.of(conditions);
                case Through(_, _, _, var conditions) ->
                        Optional.of(conditions).filter(each -> !each.equals(Conditions.REST));
                case Check(_, _, var conditions) -> Optional.of(conditions);
                case Look _, LookAt _, Continuity _, Isolation _, Leave _, ClipIn _ ->
                        Optional.empty();
            };
        }
    }

    /** Look at the ends of a wire: pins home, no strands out, labels on. */
    public record Look(WireId wire) implements Task {}

    /** Look at all that ends at a part, and tug at it. */
    public record LookAt(PartId part) implements Task {}

    /** Measure a wire from end to end. */
    public record Continuity(WireId wire) implements Task {}

    /** Measure several wires at one go, through the switches worked between them. */
    public record Through(List<WireId> wires, Terminal from, Terminal to, Conditions conditions)
            implements Task {
        public Through {
            wires = List.copyOf(wires);
        }
    }

    /** Measure from a terminal to earth with the loads unplugged. */
    public record Isolation(Terminal terminal) implements Task {}

    /** Everything off: nothing may flow in the wire that feeds the circuit. */
    public record Quiet(WireId feed, Conditions conditions) implements Task {}

    /** Measure the current in a wire, in a state. */
    public record AmpsIn(WireId wire, Conditions conditions) implements Task {}

    /** Measure the volts between a terminal and the vehicle's earth, in a state. */
    public record VoltsAt(Terminal terminal, Conditions conditions) implements Task {}

    /**
     * Work a function, and see that all that should burn, blink, turn or sound does, and nothing
     * else.
     *
     * @param signs what is seen of every load of the circuit; one at least
     */
    public record Works(List<Sign> signs, Conditions conditions) implements Task {
        public Works {
            signs = List.copyOf(signs);
            if (signs.isEmpty()) {
                throw new IllegalArgumentException("a function shows by something");
            }
        }
    }

    /** Something that only a hand, an eye or an ear tells. */
    public record Check(Topic topic, PartId part, Conditions conditions) implements Task {}

    /** What a hand, an eye or an ear tells. */
    public enum Topic {
        /** Which way a fan moves the air. */
        AIR,
        /** Which way a motor turns. */
        TURNING,
        /** How often a source turns for one turn of the engine, and which way. */
        RATIO,
        /** Leads, joints and case after ten minutes: nothing more than hand-warm. */
        WARMTH
    }

    /**
     * Test lamps are clipped in where the loads would be.
     *
     * @param lamps one at least
     */
    public record ClipIn(List<StandIns.StandIn> lamps) implements Task {
        public ClipIn {
            lamps = List.copyOf(lamps);
        }
    }

    /**
     * The run is over: power off, and what would flatten the battery between tests is unplugged.
     *
     * @param parts the switches that feed something with the key off; one at least
     */
    public record Leave(List<PartId> parts) implements Task {
        public Leave {
            parts = List.copyOf(parts);
        }
    }
}
