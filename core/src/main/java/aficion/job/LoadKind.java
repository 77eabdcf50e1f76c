package aficion.job;

import aficion.quantity.Amps;
import aficion.quantity.Henries;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Seconds;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** What the current is for. */
public sealed interface LoadKind extends Kind {
    /** How many times its running current a motor draws standing (typical). */
    double USUAL_START = 4;

    /**
     * Lamp with one filament or two on a common return.
     *
     * @param test the volts at which the watts are stated
     * @param filaments each with its own feed pin
     */
    record Lamp(Volts test, List<Filament> filaments) implements LoadKind {
        public Lamp {
            Positive.require("lamp volts", test);
            filaments = List.copyOf(filaments);
            if (filaments.isEmpty() || filaments.size() > 2) {
                throw new IllegalArgumentException("a lamp has one filament or two");
            }
        }

        @Override
        public List<String> pins() {
            return Stream.concat(filaments.stream().map(Filament::pin), Stream.of("31")).toList();
        }

        @Override
        public List<String> lightPins() {
            return filaments.stream().map(Filament::pin).toList();
        }

        @Override
        public boolean consumes() {
            return true;
        }
    }

    /** One filament of a lamp. */
    record Filament(String pin, Watts watts) {
        public Filament {
            Names.require(pin);
            Positive.require("lamp watts", watts);
        }
    }

    /** Warning lamp with both ends insulated. */
    record WarningLamp(Watts watts, Volts test) implements LoadKind {
        public WarningLamp {
            Positive.require("lamp watts", watts);
            Positive.require("lamp volts", test);
        }

        @Override
        public List<String> pins() {
            return List.of("1", "2");
        }

        @Override
        public boolean alikeBothWays() {
            return true;
        }

        @Override
        public boolean consumes() {
            return true;
        }
    }

    /**
     * Motor, by what it draws once it runs.
     *
     * @param starts how many times that it draws standing; 4 where nothing is said (typical)
     * @param excitation permanent magnet where nothing is said
     * @param turned whether it was found to turn the wrong way with plus at its plus pin
     */
    record Motor(
            Amps running,
            Volts rated,
            Optional<Ratio> starts,
            Optional<Excitation> excitation,
            Optional<Boolean> turned)
            implements LoadKind {
        public Motor {
            Positive.require("running current", running);
            Positive.require("motor volts", rated);
            starts.ifPresent(LoadKind::requireStart);
        }

        public Motor(Amps running, Volts rated) {
            this(running, rated, Optional.empty(), Optional.empty(), Optional.empty());
        }

        /** Whether plus belongs at its other pin for it to turn as it is to. */
        public boolean wantsTurning() {
            return turned.orElse(false);
        }

        /** The same, found to turn the other way. */
        public Motor turnedRound() {
            return new Motor(
                    running,
                    rated,
                    starts,
                    excitation,
                    wantsTurning() ? Optional.empty() : Optional.of(true));
        }

        /** The resistance of its windings. */
        public Ohms windings() {
            return standing(running, rated, starts);
        }

        @Override
        public List<String> pins() {
            return List.of("+", "31");
        }

        @Override
        public Map<String, Amps> turning() {
            return Map.of("body", running);
        }

        @Override
        public boolean hasMagnet() {
            return excitation.orElse(Excitation.MAGNET) == Excitation.MAGNET;
        }

        @Override
        public boolean consumes() {
            return true;
        }
    }

    /** Nothing but what turns an engine draws as much, watts (typical). */
    double CRANKS = 500;

    /** Whether a kind turns an engine: a starter, or the heavy motor of a direct one. */
    static boolean cranks(Kind kind) {
        return kind instanceof Starter
                || kind instanceof Motor motor
                        && motor.running().value() * motor.rated().value() > CRANKS;
    }

    /** What makes a motor's field. */
    enum Excitation {
        /** Runs backwards when its leads are exchanged. */
        MAGNET,
        /** Runs the same way whatever its leads. */
        WOUND
    }

    /**
     * Wiper motor with its park switch, pins of DIN 72552: while the blades are away from their
     * rest, 53a is joined to 31b; the wiper switch leads 31b to 53 in its off position.
     *
     * @param level the name the conditions know the blades by: at rest at 0
     */
    record WiperMotor(String level, Amps running, Volts rated, Optional<Ratio> starts)
            implements LoadKind {
        /** What the park switch carries and breaks (typical). */
        private static final Amps PARK = new Amps(10);

        public WiperMotor {
            Names.require(level);
            Positive.require("running current", running);
            Positive.require("motor volts", rated);
            starts.ifPresent(LoadKind::requireStart);
        }

        /** The resistance of its windings. */
        public Ohms windings() {
            return standing(running, rated, starts);
        }

        @Override
        public List<String> pins() {
            return List.of("53", "53a", "31b", "31");
        }

        @Override
        public Map<String, Amps> turning() {
            return Map.of("body", running);
        }

        @Override
        public Optional<String> feels() {
            return Optional.of(level);
        }

        @Override
        public Set<String> sparePins() {
            return Set.of("53a", "31b");
        }

        @Override
        public List<Pass> passes() {
            return List.of(Pass.contact("53a", "31b", PARK));
        }

        @Override
        public boolean consumes() {
            return true;
        }
    }

    /**
     * Motor with two speeds on a common return.
     *
     * @param low what it draws on its low speed, fed at 53
     * @param high what it draws on its high speed, fed at 53b
     * @param lowFirst whether the low speed must run before the high one is switched in
     */
    record TwoSpeedMotor(Amps low, Amps high, Volts rated, Optional<Ratio> starts, boolean lowFirst)
            implements LoadKind {
        public TwoSpeedMotor {
            Positive.require("low-speed current", low);
            Positive.require("high-speed current", high);
            Positive.require("motor volts", rated);
            starts.ifPresent(LoadKind::requireStart);
        }

        /** The resistance of the windings of a speed. */
        public Ohms windings(Amps running) {
            return standing(running, rated, starts);
        }

        @Override
        public List<String> pins() {
            return List.of("53", "53b", "31");
        }

        @Override
        public Map<String, Amps> turning() {
            return Map.of("53", low, "53b", low);
        }

        @Override
        public boolean hasMagnet() {
            return true;
        }

        @Override
        public boolean consumes() {
            return true;
        }
    }

    private static void requireStart(Ratio starts) {
        if (!(starts.value() > 1 && starts.value() <= 12)) {
            throw new IllegalArgumentException(
                    "a motor starts with 1 to 12 times what it runs with, not " + starts.value());
        }
    }

    private static Ohms standing(Amps running, Volts rated, Optional<Ratio> starts) {
        return new Ohms(
                rated.value() / running.value() / starts.map(Ratio::value).orElse(USUAL_START));
    }

    /**
     * Starter motor with its solenoid. 15a feeds the coil past its ballast while it cranks.
     *
     * @param motor resistance while cranking
     * @param solenoid resistance of the solenoid's winding
     */
    record Starter(Ohms motor, Ohms solenoid) implements LoadKind {
        public Starter {
            Positive.require("motor resistance", motor);
            Positive.require("solenoid resistance", solenoid);
        }

        @Override
        public List<String> pins() {
            return List.of("30", "50", "31", "15a");
        }

        @Override
        public Optional<String> stud(String pin) {
            return pin.equals("30") ? Optional.of("m8") : Optional.empty();
        }

        @Override
        public Set<String> sparePins() {
            return Set.of("15a");
        }

        @Override
        public List<Pass> passes() {
            return List.of(Pass.solid("30", "15a"));
        }

        @Override
        public boolean consumes() {
            return true;
        }
    }

    /**
     * Ignition coil, its primary.
     *
     * @param leads the core of its plug leads, where that has been said
     */
    record IgnitionCoil(Ohms primary, Henries inductance, Optional<PlugLeads> leads)
            implements LoadKind {
        public IgnitionCoil(Ohms primary, Henries inductance) {
            this(primary, inductance, Optional.empty());
        }

        public IgnitionCoil {
            Positive.require("primary resistance", primary);
            Positive.require("primary inductance", inductance);
        }

        @Override
        public boolean ignites() {
            return true;
        }

        @Override
        public List<String> pins() {
            return List.of("15", "1");
        }

        @Override
        public boolean consumes() {
            return true;
        }
    }

    /** What plug leads have inside. */
    enum PlugLeads {
        /** Solid copper: it disturbs electronics. */
        SOLID,
        /** A core that resists. */
        RESISTIVE
    }

    /**
     * Gauge, by its resistance and the current at which it stands at full scale.
     *
     * @param movement what moves its needle; thermal where nothing is said
     * @param family the family of senders it is made for
     */
    record Gauge(Ohms winding, Amps fullScale, Optional<Movement> movement, Optional<String> family)
            implements LoadKind {
        public Gauge {
            Positive.require("gauge resistance", winding);
            Positive.require("full-scale current", fullScale);
        }

        public Gauge(Ohms winding, Amps fullScale) {
            this(winding, fullScale, Optional.empty(), Optional.empty());
        }

        /** What moves a needle. */
        public enum Movement {
            /** A heated strip: slow, follows the mean, runs from a stabiliser. */
            THERMAL,
            MOVING_IRON,
            AIR_CORE
        }

        @Override
        public List<String> pins() {
            return List.of("B", "T");
        }

        @Override
        public boolean consumes() {
            return true;
        }
    }

    /**
     * Ammeter, in the main feed. It reads charge when current runs from A to B.
     *
     * @param range full scale either way
     */
    record Ammeter(Amps range) implements LoadKind {
        public Ammeter {
            Positive.require("ammeter range", range);
        }

        @Override
        public List<String> pins() {
            return List.of("A", "B");
        }

        @Override
        public boolean alikeBothWays() {
            return true;
        }

        @Override
        public List<Pass> passes() {
            return List.of(Pass.contact("A", "B", range));
        }
    }

    /** Voltmeter. */
    record Voltmeter(Volts range) implements LoadKind {
        public Voltmeter {
            Positive.require("voltmeter range", range);
        }

        @Override
        public List<String> pins() {
            return List.of("+", "31");
        }

        @Override
        public boolean consumes() {
            return true;
        }
    }

    /** Anything else, by what it draws at rated volts: a horn, a radio, a heater. */
    record Load(Demand demand, Volts rated) implements LoadKind {
        public Load {
            Positive.require("rated volts", rated);
        }

        @Override
        public List<String> pins() {
            return List.of("+", "31");
        }

        /** The resistance that draws the demand at the rated volts. */
        public Ohms resistance() {
            return new Ohms(
                    switch (demand) {
                        case Demand.InWatts(var watts) ->
                                rated.value() * rated.value() / watts.value();
                        case Demand.InAmps(var amps) -> rated.value() / amps.value();
                    });
        }

        @Override
        public boolean consumes() {
            return true;
        }
    }

    /** Lamp of light-emitting diodes: dark when its leads are exchanged. */
    record LedLamp(Volts rated, Watts watts) implements LoadKind {
        public LedLamp {
            Positive.require("lamp volts", rated);
            Positive.require("lamp watts", watts);
        }

        @Override
        public List<String> pins() {
            return List.of("+", "31");
        }

        @Override
        public List<String> lightPins() {
            return List.of("+");
        }

        @Override
        public boolean consumes() {
            return true;
        }
    }

    /** Buzzer: silent when its leads are exchanged. */
    record Buzzer(Volts rated, Amps draws) implements LoadKind {
        public Buzzer {
            Positive.require("buzzer volts", rated);
            Positive.require("buzzer current", draws);
        }

        @Override
        public List<String> pins() {
            return List.of("+", "31");
        }

        @Override
        public boolean consumes() {
            return true;
        }
    }

    /**
     * What heats and changes its resistance by it: a heater plug, an electric choke, a screen.
     *
     * @param cold resistance when it is switched on
     * @param warm resistance once it is warm
     * @param warms time constant
     */
    record Heater(Ohms cold, Ohms warm, Seconds warms) implements LoadKind {
        public Heater {
            Positive.require("cold resistance", cold);
            Positive.require("warm resistance", warm);
            Positive.require("warming time", warms);
        }

        @Override
        public List<String> pins() {
            return List.of("+", "31");
        }

        @Override
        public boolean consumes() {
            return true;
        }
    }

    /** Magneto: it makes its own spark, and stops when its kill lead is earthed. */
    record Magneto(Ohms primary) implements LoadKind {
        public Magneto {
            Positive.require("primary resistance", primary);
        }

        @Override
        public List<String> pins() {
            return List.of("kill", "31");
        }
    }
}
