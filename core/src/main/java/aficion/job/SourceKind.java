package aficion.job;

import aficion.quantity.AmpereHours;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import aficion.quantity.Volts;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** What current comes from, and what governs it. */
public sealed interface SourceKind extends Kind {
    /** What it gives by its speed, as it is stated or was measured; empty where it is typical. */
    default Optional<OutputCurve> output() {
        return switch (this) {
            case Alternator of -> of.curve();
            case Dynamo of -> of.curve();
            case Flywheel of -> of.curve();
            case Battery _, BenchSupply _, FieldRegulator _, ControlBox _, RegulatorRectifier _ ->
                    Optional.empty();
        };
    }

    /**
     * Lead-acid battery.
     *
     * @param capacity what it holds; typical for its resistance where nothing is said
     */
    record Battery(Volts nominal, Ohms internal, Optional<Capacity> capacity)
            implements SourceKind {
        public Battery {
            Positive.require("battery volts", nominal);
            Positive.require("internal resistance", internal);
        }

        public Battery(Volts nominal, Ohms internal) {
            this(nominal, internal, Optional.empty());
        }

        @Override
        public List<String> pins() {
            return List.of("+", "-");
        }

        @Override
        public boolean hasPoles() {
            return true;
        }
    }

    /**
     * What a battery holds.
     *
     * @param hours at the twenty-hour rate
     * @param peukert exponent by which it shrinks when drawn faster, 1.1 to 1.25 (typical)
     */
    record Capacity(AmpereHours hours, Ratio peukert) {
        public Capacity {
            Positive.require("battery capacity", hours);
            if (peukert.value() < 1 || peukert.value() > 1.6) {
                throw new IllegalArgumentException(
                        "a Peukert exponent is 1 to 1.6, not " + peukert.value());
            }
        }
    }

    /** Bench supply that holds its volts up to its current limit. */
    record BenchSupply(Volts set, Amps limit) implements SourceKind {
        public BenchSupply {
            Positive.require("set volts", set);
            Positive.require("current limit", limit);
        }

        @Override
        public List<String> pins() {
            return List.of("+", "-");
        }

        @Override
        public boolean hasPoles() {
            return true;
        }
    }

    /**
     * Alternator.
     *
     * @param setPoint the volts its regulator holds; with a regulator outside, what it would run
     *     away to is worked out from these
     * @param rated its full output, warm
     * @param field the resistance of its field
     * @param pulleys alternator turns for each engine turn
     * @param style how it is woken and regulated; by its warning lamp where nothing is said
     * @param curve what it gives by the speed of its own shaft; typical for its rating where
     *     nothing is said
     */
    record Alternator(
            Volts setPoint,
            Amps rated,
            Ohms field,
            Ratio pulleys,
            Optional<Style> style,
            Optional<OutputCurve> curve)
            implements SourceKind {
        public Alternator {
            Positive.require("set point", setPoint);
            Positive.require("rated output", rated);
            Positive.require("field resistance", field);
            Positive.require("pulley ratio", pulleys);
        }

        public Alternator(Volts setPoint, Amps rated, Ohms field, Ratio pulleys) {
            this(setPoint, rated, field, pulleys, Optional.empty());
        }

        public Alternator(
                Volts setPoint, Amps rated, Ohms field, Ratio pulleys, Optional<Style> style) {
            this(setPoint, rated, field, pulleys, style, Optional.empty());
        }

        /** How it is woken and regulated. */
        public enum Style {
            /** Warning lamp to D+ starts the field; regulator inside. */
            LAMP,
            /** A switched feed on IG wakes it, a lamp driver on L, sense lead on S. */
            SWITCHED,
            /** It wakes by its speed alone. */
            ONE_WIRE,
            /** Lamp to D+; a regulator outside feeds the field at DF. */
            EXTERNAL
        }

        /** How it is woken. */
        public Style wakes() {
            return style.orElse(Style.LAMP);
        }

        @Override
        public List<String> pins() {
            return switch (wakes()) {
                case LAMP -> List.of("B+", "D+", "31", "W");
                case SWITCHED -> List.of("B+", "IG", "L", "31", "S", "W");
                case ONE_WIRE -> List.of("B+", "31", "W");
                case EXTERNAL -> List.of("B+", "D+", "DF", "31", "W");
            };
        }

        @Override
        public Optional<String> chargingPin() {
            return Optional.of("B+");
        }

        @Override
        public Set<String> sparePins() {
            return wakes() == Style.SWITCHED ? Set.of("L", "S", "W") : Set.of("W");
        }
    }

    /** Regulator of an alternator that has none inside: D+ in, DF to the field. */
    record FieldRegulator(Volts setPoint) implements SourceKind {
        public FieldRegulator {
            Positive.require("set point", setPoint);
        }

        @Override
        public List<String> pins() {
            return List.of("D+", "DF", "31");
        }

        @Override
        public List<Pass> passes() {
            return List.of(Pass.solid("D+", "DF"));
        }
    }

    /**
     * Dynamo, shunt wound, its field fed from D.
     *
     * @param rated its full output
     * @param field resistance of the field
     * @param pulleys dynamo turns for each engine turn
     * @param cutIn dynamo speed at which it reaches its nominal volts
     * @param curve what it gives by the speed of its own shaft; typical where nothing is said
     */
    record Dynamo(Amps rated, Ohms field, Ratio pulleys, Rpm cutIn, Optional<OutputCurve> curve)
            implements SourceKind {
        public Dynamo {
            Positive.require("rated output", rated);
            Positive.require("field resistance", field);
            Positive.require("pulley ratio", pulleys);
            Positive.require("cut-in speed", cutIn);
        }

        public Dynamo(Amps rated, Ohms field, Ratio pulleys, Rpm cutIn) {
            this(rated, field, pulleys, cutIn, Optional.empty());
        }

        @Override
        public List<String> pins() {
            return List.of("D", "F", "31");
        }

        @Override
        public Optional<String> chargingPin() {
            return Optional.of("D");
        }
    }

    /**
     * Control box of a dynamo: cut-out between D and A, regulator between D and F. E is its earth.
     *
     * @param setPoint the volts it holds
     * @param cutIn the volts at which the cut-out closes
     */
    record ControlBox(Volts setPoint, Volts cutIn, Amps rating) implements SourceKind {
        public ControlBox {
            Positive.require("set point", setPoint);
            Positive.require("cut-in volts", cutIn);
            Positive.require("cut-out rating", rating);
            if (cutIn.value() >= setPoint.value()) {
                throw new IllegalArgumentException(
                        "a cut-out closes below the volts the regulator holds");
            }
        }

        @Override
        public List<String> pins() {
            return List.of("D", "F", "A", "A1", "E");
        }

        @Override
        public Optional<String> casePin() {
            return Optional.of("E");
        }

        @Override
        public Set<String> sparePins() {
            return Set.of("A1");
        }

        @Override
        public List<Pass> passes() {
            return List.of(Pass.contact("D", "A", rating), Pass.solid("A", "A1"));
        }
    }

    /**
     * Flywheel alternator: magnets on the crankshaft, coils that do not turn. It gives nearly the
     * same current at any speed above the one at which it is full.
     *
     * @param winding how its coils are led out
     * @param amps what it gives, as direct current behind a bridge, or as the mean of the lighting
     *     current
     * @param full engine speed at which it gives all
     * @param curve what it gives by engine speed; typical where nothing is said
     */
    record Flywheel(Winding winding, Amps amps, Rpm full, Optional<OutputCurve> curve)
            implements SourceKind {
        public Flywheel(Winding winding, Amps amps, Rpm full) {
            this(winding, amps, full, Optional.empty());
        }

        public Flywheel {
            Positive.require("flywheel current", amps);
            Positive.require("full speed", full);
        }

        /** How the coils are led out. */
        public enum Winding {
            /** Two leads, neither earthed. */
            SINGLE,
            /** Three leads of a star. */
            THREE_PHASE,
            /** One lead against the case: lamps fed with alternating current. */
            LIGHTING
        }

        @Override
        public List<String> pins() {
            return switch (winding) {
                case SINGLE -> List.of("G1", "G2");
                case THREE_PHASE -> List.of("G1", "G2", "G3");
                case LIGHTING -> List.of("L", "31");
            };
        }
    }

    /**
     * Regulator and rectifier of a flywheel alternator. Its alternating leads may be exchanged.
     *
     * @param bridge how it rectifies
     * @param setPoint the volts it holds at its sense lead, or at its output where S has no wire
     */
    record RegulatorRectifier(Bridge bridge, Volts setPoint) implements SourceKind {
        public RegulatorRectifier {
            Positive.require("set point", setPoint);
        }

        /** How it rectifies. */
        public enum Bridge {
            /** One diode, on the side of the live pole; its winding returns by earth. */
            HALF_WAVE,
            FULL_WAVE,
            THREE_PHASE
        }

        /**
         * Its diodes: two for each alternating lead, or with half a wave the one on the side of the
         * pole that is not at earth.
         */
        @Override
        public List<Valve> valves(Vehicle.Pole earthed) {
            boolean whole = bridge != Bridge.HALF_WAVE;
            return inputs().stream()
                    .flatMap(input ->
                            Stream.concat(
                                    whole || earthed == Vehicle.Pole.NEGATIVE
                                            ? Stream.of(new Valve(input, "B+"))
                                            : Stream.empty(),
                                    whole || earthed == Vehicle.Pole.POSITIVE
                                            ? Stream.of(new Valve("B-", input))
                                            : Stream.empty()))
                    .toList();
        }

        /** Its alternating leads. */
        public List<String> inputs() {
            return switch (bridge) {
                case HALF_WAVE -> List.of("G1");
                case FULL_WAVE -> List.of("G1", "G2");
                case THREE_PHASE -> List.of("G1", "G2", "G3");
            };
        }

        @Override
        public List<String> pins() {
            return Stream.concat(inputs().stream(), Stream.of("B+", "B-", "S")).toList();
        }

        @Override
        public Optional<String> chargingPin() {
            return Optional.of("B+");
        }

        @Override
        public Optional<String> casePin() {
            return Optional.empty();
        }

        @Override
        public Set<String> sparePins() {
            var spare = new ArrayList<>(List.of("S"));
            if (bridge == Bridge.THREE_PHASE) {
                spare.add("G3");
            }
            return Set.copyOf(spare);
        }
    }
}
