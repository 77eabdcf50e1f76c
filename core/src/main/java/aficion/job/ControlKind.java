package aficion.job;

import aficion.quantity.Amps;
import aficion.quantity.Celsius;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Seconds;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What opens and closes the path: by hand, by a coil, by a level, by a clock. */
public sealed interface ControlKind extends Kind {

    /**
     * Any switch, the key switch among them, described by its contact table.
     *
     * @param action how it is worked
     * @param control the name the conditions know it by; switches that move together share one
     * @param pins its terminals
     * @param positions what is joined in each position; the first is the position of rest, which
     *     stays by itself whatever is said of it: where all were held, none would be driven in
     * @param rating what one contact may carry
     */
    record Switch(
            Action action, String control, List<String> pins, List<Position> positions, Amps rating)
            implements ControlKind {
        public Switch {
            Names.require(control);
            Positive.require("switch rating", rating);
            pins = List.copyOf(pins);
            if (positions.size() < 2) {
                throw new IllegalArgumentException("a switch has at least two positions");
            }
            positions = resting(positions);
            for (var position : positions) {
                for (var contact : position.joins()) {
                    if (!pins.contains(contact.one()) || !pins.contains(contact.other())) {
                        throw new IllegalArgumentException(
                                "position "
                                        + position.name()
                                        + " joins "
                                        + contact
                                        + ", but the pins are "
                                        + pins);
                    }
                }
            }
        }

        private static List<Position> resting(List<Position> positions) {
            var rest = positions.getFirst();
            return Stream.concat(
                            Stream.of(new Position(rest.name(), false, rest.joins())),
                            positions.stream().skip(1))
                    .toList();
        }

        @Override
        public Set<String> sparePins() {
            return Set.copyOf(pins);
        }

        /** Every pair of pins that some position joins, each once. */
        public List<Contact> contacts() {
            return positions.stream()
                    .flatMap(position -> position.joins().stream())
                    .distinct()
                    .toList();
        }

        /** The position of that name. */
        public Optional<Position> position(String name) {
            return positions.stream().filter(position -> position.name().equals(name)).findFirst();
        }

        @Override
        public List<Pass> passes() {
            return contacts().stream()
                    .map(contact -> Pass.contact(contact.one(), contact.other(), rating))
                    .toList();
        }
    }

    /**
     * Relay: coil 85–86, make contact 30–87, and 30–87a where it changes over.
     *
     * @param rated volts of the coil
     * @param coil resistance of the coil
     * @param pickUp share of the rated volts at which it pulls in
     * @param dropOut share of the rated volts at which it lets go
     * @param makes rating of the make contact
     * @param breaks rating of the break contact; empty where there is none
     * @param suppression what takes up the coil's spark
     */
    record Relay(
            Volts rated,
            Ohms coil,
            Ratio pickUp,
            Ratio dropOut,
            Amps makes,
            Optional<Amps> breaks,
            Optional<Suppression> suppression)
            implements ControlKind {
        public Relay {
            Positive.require("coil volts", rated);
            Positive.require("coil resistance", coil);
            Positive.require("pick-up", pickUp);
            Positive.require("drop-out", dropOut);
            Positive.require("contact rating", makes);
            if (dropOut.value() >= pickUp.value()) {
                throw new IllegalArgumentException(
                        "a relay lets go below the volts at which it pulls in");
            }
        }

        public Relay(
                Volts rated,
                Ohms coil,
                Ratio pickUp,
                Ratio dropOut,
                Amps makes,
                Optional<Amps> breaks) {
            this(rated, coil, pickUp, dropOut, makes, breaks, Optional.empty());
        }

        @Override
        public List<String> pins() {
            return breaks.isPresent()
                    ? List.of("86", "85", "30", "87", "87a")
                    : List.of("86", "85", "30", "87");
        }

        @Override
        public Set<String> sparePins() {
            return breaks.isPresent() ? Set.of("87", "87a") : Set.of();
        }

        @Override
        public List<Pass> passes() {
            var make = Pass.contact("30", "87", makes);
            return breaks.map(rating -> List.of(make, Pass.contact("30", "87a", rating)))
                    .orElse(List.of(make));
        }

        @Override
        public List<Valve> valves(Vehicle.Pole earthed) {
            return suppression.flatMap(Suppression::valve).stream().toList();
        }

        @Override
        public boolean consumes() {
            return true;
        }
    }

    /** What takes up the spark of a relay's coil. */
    enum Suppression {
        RESISTOR,
        /** A diode whose cathode is at 86: 86 must be the live side. */
        DIODE_TO_86,
        /** A diode whose cathode is at 85: 85 must be the live side. */
        DIODE_TO_85;

        /** The diode that it is, if it is one. */
        public Optional<Valve> valve() {
            return switch (this) {
                case RESISTOR -> Optional.empty();
                case DIODE_TO_86 -> Optional.of(new Valve("85", "86"));
                case DIODE_TO_85 -> Optional.of(new Valve("86", "85"));
            };
        }
    }

    /**
     * Relay that stays where it was put: a pulse between S and 31 closes 30–87, one between R and
     * 31 opens it.
     */
    record LatchingRelay(Volts rated, Ohms coil, Amps makes) implements ControlKind {
        public LatchingRelay {
            Positive.require("coil volts", rated);
            Positive.require("coil resistance", coil);
            Positive.require("contact rating", makes);
        }

        @Override
        public List<String> pins() {
            return List.of("S", "R", "31", "30", "87");
        }

        @Override
        public List<Pass> passes() {
            return List.of(Pass.contact("30", "87", makes));
        }

        @Override
        public boolean consumes() {
            return true;
        }
    }

    /**
     * Contact that a level moves: a thermal switch, a pressure switch, a float.
     *
     * @param level the name the conditions know the level by
     * @param acts the level, 0 to 1, above which it has moved; empty for one that heat moves
     * @param heat the temperatures at which heat moves it
     * @param opens whether it opens above that level, as an oil pressure switch does
     * @param rating what the contact may carry
     */
    record LevelSwitch(
            String level, Optional<Ratio> acts, Optional<Heat> heat, boolean opens, Amps rating)
            implements ControlKind {
        public LevelSwitch {
            Names.require(level);
            Positive.require("contact rating", rating);
            if (acts.isPresent() == heat.isPresent()) {
                throw new IllegalArgumentException(
                        "a level switch acts at a level or at a temperature, one of the two");
            }
            acts.ifPresent(at -> {
                if (!(at.value() > 0 && at.value() < 1)) {
                    throw new IllegalArgumentException(
                            "a level switch acts between 0 and 1, not at " + at.value());
                }
            });
        }

        public LevelSwitch(String level, Ratio acts, boolean opens, Amps rating) {
            this(level, Optional.of(acts), Optional.empty(), opens, rating);
        }

        /** The level above which it has moved. */
        public double actsAt() {
            return heat.map(found -> Heat.level(found.acts()))
                    .or(() -> acts.map(Ratio::value))
                    .orElseThrow();
        }

        /** The level down to which it stays moved once it has. */
        public double releasesAt() {
            return heat.map(found -> Heat.level(found.releases())).orElseGet(this::actsAt);
        }

        @Override
        public List<String> pins() {
            return List.of("1", "31");
        }

        @Override
        public Optional<String> feels() {
            return Optional.of(level);
        }

        @Override
        public List<Pass> passes() {
            return List.of(Pass.contact("1", "31", rating));
        }
    }

    /**
     * The temperatures of a thermal switch: it moves where it gets hot and moves back where it has
     * cooled.
     *
     * @param acts where it moves, such as 95 °C
     * @param releases where it moves back, such as 88 °C
     */
    record Heat(Celsius acts, Celsius releases) {
        /** What the level 0 of a temperature stands for, and what 1 adds to it (typical). */
        private static final double COLD = 20;

        private static final double SPAN = 100;

        public Heat {
            if (!(releases.value() < acts.value())) {
                throw new IllegalArgumentException(
                        "a thermal switch releases below where it acts, not at "
                                + releases.value()
                                + " °C");
            }
            if (!(level(releases) > 0 && level(acts) < 1)) {
                throw new IllegalArgumentException(
                        "a thermal switch acts between 20 and 120 °C, not at " + acts.value());
            }
        }

        /** The level that stands for a temperature. */
        public static double level(Celsius temperature) {
            return (temperature.value() - COLD) / SPAN;
        }

        /** The temperature that a level stands for. */
        public static Celsius temperature(double level) {
            return new Celsius(COLD + SPAN * level);
        }
    }

    /**
     * Flasher unit: feed at 49, lamps at 49a; an electronic one needs its earth at 31.
     *
     * @param form how it works
     * @param load the lamps it is made for
     * @param rate flashes a minute with them
     */
    record Flasher(Form form, Watts load, Volts rated, double rate) implements ControlKind {
        public Flasher {
            Positive.require("flasher load", load);
            Positive.require("flasher volts", rated);
            if (!(rate >= 30 && rate <= 240)) {
                throw new IllegalArgumentException(
                        "a flasher flashes 30 to 240 times a minute, not " + rate);
            }
        }

        /** How a flasher works. */
        public enum Form {
            /** Two terminals; a strip that the lamps' own current heats. */
            THERMAL,
            /** Three terminals; a clock. */
            ELECTRONIC
        }

        @Override
        public List<String> pins() {
            return switch (form) {
                case THERMAL -> List.of("49", "49a");
                case ELECTRONIC -> List.of("49", "49a", "31");
            };
        }

        @Override
        public List<Pass> passes() {
            return List.of(Pass.solid("49", "49a"));
        }
    }

    /**
     * Control module, described by what its outputs ask for.
     *
     * @param rest what it draws for itself between 15 and 31
     * @param inputs pins it reads: high above half the rated volts
     */
    record Module(Volts rated, Amps rest, List<String> inputs, List<Output> outputs)
            implements ControlKind {
        public Module {
            Positive.require("module volts", rated);
            Positive.require("rest current", rest);
            inputs = List.copyOf(inputs);
            outputs = List.copyOf(outputs);
            inputs.forEach(Names::require);
            for (var output : outputs) {
                for (var need : output.needs()) {
                    if (!inputs.contains(need.input())
                            && outputs.stream().noneMatch(o -> o.pin().equals(need.input()))) {
                        throw new IllegalArgumentException(
                                output.pin()
                                        + " asks for "
                                        + need.input()
                                        + ", which is neither input nor output");
                    }
                }
            }
        }

        @Override
        public List<String> pins() {
            return Stream.of(
                            Stream.of("15"),
                            inputs.stream(),
                            outputs.stream().map(Output::pin),
                            Stream.of("31"))
                    .flatMap(pins -> pins)
                    .toList();
        }

        @Override
        public Set<String> sparePins() {
            return Stream.concat(inputs.stream(), outputs.stream().map(Output::pin))
                    .collect(Collectors.toUnmodifiableSet());
        }

        @Override
        public List<Pass> passes() {
            return outputs.stream()
                    .map(output ->
                            Pass.contact(
                                    output.side() == Side.LIVE ? "15" : "31",
                                    output.pin(),
                                    output.rating()))
                    .toList();
        }

        @Override
        public boolean consumes() {
            return true;
        }
    }

    /**
     * An output of a control module.
     *
     * @param side what it joins its pin to
     * @param needs every one must be met for it to be on
     * @param holds how long it takes an input to be high that has gone low, for a delay module
     */
    record Output(String pin, Side side, Amps rating, List<Need> needs, Optional<Seconds> holds) {
        public Output {
            Names.require(pin);
            Positive.require("output rating", rating);
            needs = List.copyOf(needs);
            holds.ifPresent(seconds -> Positive.require("time an output stays on", seconds));
        }

        /** An output that goes off with what it needs. */
        public Output(String pin, Side side, Amps rating, List<Need> needs) {
            this(pin, side, rating, needs, Optional.empty());
        }
    }

    /** What an output joins its pin to: the module's feed or its earth. */
    enum Side {
        LIVE,
        EARTH
    }

    /** That an input, or another output, is high or low. */
    record Need(String input, boolean high) {
        public Need {
            Names.require(input);
        }
    }

    /**
     * Contact points of a four-stroke's distributor.
     *
     * @param cylinders sparks for each two turns of the engine
     * @param dwell share of the time the points are closed
     */
    record Points(int cylinders, Ratio dwell) implements ControlKind {
        public Points {
            if (cylinders < 1 || cylinders > 16) {
                throw new IllegalArgumentException(
                        "a distributor serves 1 to 16 cylinders, not " + cylinders);
            }
            if (!(dwell.value() > 0 && dwell.value() < 1)) {
                throw new IllegalArgumentException(
                        "dwell is a share between 0 and 1, not " + dwell.value());
            }
        }

        @Override
        public List<String> pins() {
            return List.of("1", "31");
        }

        @Override
        public Optional<String> casePin() {
            return Optional.of("31");
        }
    }

    /**
     * Ignition box between trigger and coil. A transistor box switches the coil's terminal 1 with
     * its dwell; a discharge box feeds the coil itself and draws a mean current from 15.
     *
     * @param draws what it draws for itself, or, discharging, at full speed
     */
    record IgnitionBox(Form form, int cylinders, Ratio dwell, Amps draws) implements ControlKind {
        public IgnitionBox {
            Positive.require("box current", draws);
            if (cylinders < 1 || cylinders > 16) {
                throw new IllegalArgumentException(
                        "an ignition box serves 1 to 16 cylinders, not " + cylinders);
            }
            if (!(dwell.value() > 0 && dwell.value() < 1)) {
                throw new IllegalArgumentException(
                        "dwell is a share between 0 and 1, not " + dwell.value());
            }
        }

        /** How it makes the spark. */
        public enum Form {
            TRANSISTOR,
            DISCHARGE
        }

        @Override
        public boolean ignites() {
            return true;
        }

        @Override
        public List<String> pins() {
            return List.of("15", "1", "31");
        }

        @Override
        public boolean consumes() {
            return true;
        }
    }
}
