package aficion.job;

import aficion.catalogue.FuseType;
import aficion.quantity.Amps;
import aficion.quantity.Henries;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What a part does electrically. A new kind is one record here and the places the compiler then
 * names. Pins follow DIN 72552 where it has a number.
 */
public sealed interface Kind {

    /** Every pin, in the order they are drawn. */
    List<String> pins();

    /** The pin that is the metal case, for kinds that may return through it. */
    default Optional<String> casePin() {
        return Optional.empty();
    }

    /** The pins that may be left without a wire. */
    default Set<String> sparePins() {
        return Set.of();
    }

    /** Lead-acid battery. */
    record Battery(Volts nominal, Ohms internal) implements Kind {
        public Battery {
            Positive.require("battery volts", nominal);
            Positive.require("internal resistance", internal);
        }

        @Override
        public List<String> pins() {
            return List.of("+", "-");
        }
    }

    /**
     * Alternator with built-in regulator, woken through its warning lamp.
     *
     * @param setPoint the volts it regulates to
     * @param rated its full output, warm
     * @param field the resistance of its field from D+ to the case
     * @param pulleys alternator turns for each engine turn
     */
    record Alternator(Volts setPoint, Amps rated, Ohms field, Ratio pulleys) implements Kind {
        public Alternator {
            Positive.require("set point", setPoint);
            Positive.require("rated output", rated);
            Positive.require("field resistance", field);
            Positive.require("pulley ratio", pulleys);
        }

        @Override
        public List<String> pins() {
            return List.of("B+", "D+", "31");
        }

        @Override
        public Optional<String> casePin() {
            return Optional.of("31");
        }
    }

    /**
     * Starter motor with its solenoid.
     *
     * @param motor resistance while cranking
     * @param solenoid resistance of the solenoid's winding
     */
    record Starter(Ohms motor, Ohms solenoid) implements Kind {
        public Starter {
            Positive.require("motor resistance", motor);
            Positive.require("solenoid resistance", solenoid);
        }

        @Override
        public List<String> pins() {
            return List.of("30", "50", "31");
        }

        @Override
        public Optional<String> casePin() {
            return Optional.of("31");
        }
    }

    /**
     * Any switch, the key switch among them, described by its contact table.
     *
     * @param action how it is worked
     * @param control the name the conditions know it by; switches that move together share one
     * @param pins its terminals
     * @param positions what is joined in each position; the first is the position of rest
     * @param rating what one contact may carry
     */
    record Switch(
            Action action, String control, List<String> pins, List<Position> positions, Amps rating)
            implements Kind {
        public Switch {
            Names.require(control);
            Positive.require("switch rating", rating);
            pins = List.copyOf(pins);
            positions = List.copyOf(positions);
            if (positions.size() < 2) {
                throw new IllegalArgumentException("a switch has at least two positions");
            }
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
    }

    /** One fuse in its holder. */
    record Fuse(FuseType family, Amps marking) implements Kind {
        public Fuse {
            Positive.require("fuse marking", marking);
        }

        @Override
        public List<String> pins() {
            return List.of("1", "2");
        }
    }

    /** A box of fuses; way {@code n} has the pins {@code na} and {@code nb}. */
    record FuseBox(List<Way> ways) implements Kind {
        public FuseBox {
            ways = List.copyOf(ways);
        }

        @Override
        public List<String> pins() {
            return ways.stream().flatMap(way -> Stream.of(way.in(), way.out())).toList();
        }

        @Override
        public Set<String> sparePins() {
            return Set.copyOf(pins());
        }
    }

    /** One way of a fuse box. */
    record Way(String name, FuseType family, Amps marking) {
        public Way {
            Names.require(name);
            Positive.require("fuse marking", marking);
        }

        public String in() {
            return name + "a";
        }

        public String out() {
            return name + "b";
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
     */
    record Relay(
            Volts rated, Ohms coil, Ratio pickUp, Ratio dropOut, Amps makes, Optional<Amps> breaks)
            implements Kind {
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
    }

    /**
     * Lamp with one filament or two on a common return.
     *
     * @param test the volts at which the watts are stated
     * @param filaments each with its own feed pin
     */
    record Lamp(Volts test, List<Filament> filaments) implements Kind {
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
        public Optional<String> casePin() {
            return Optional.of("31");
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
    record WarningLamp(Watts watts, Volts test) implements Kind {
        public WarningLamp {
            Positive.require("lamp watts", watts);
            Positive.require("lamp volts", test);
        }

        @Override
        public List<String> pins() {
            return List.of("1", "2");
        }
    }

    /** Motor, by what it draws once it runs. */
    record Motor(Amps running, Volts rated) implements Kind {
        public Motor {
            Positive.require("running current", running);
            Positive.require("motor volts", rated);
        }

        @Override
        public List<String> pins() {
            return List.of("+", "31");
        }

        @Override
        public Optional<String> casePin() {
            return Optional.of("31");
        }
    }

    /** Ignition coil, its primary. */
    record IgnitionCoil(Ohms primary, Henries inductance) implements Kind {
        public IgnitionCoil {
            Positive.require("primary resistance", primary);
            Positive.require("primary inductance", inductance);
        }

        @Override
        public List<String> pins() {
            return List.of("15", "1");
        }
    }

    /**
     * Contact points of a four-stroke's distributor.
     *
     * @param cylinders sparks for each two turns of the engine
     * @param dwell share of the time the points are closed
     */
    record Points(int cylinders, Ratio dwell) implements Kind {
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
     * Sender: a resistance that follows a level.
     *
     * @param level the name the conditions know the level by
     * @param least resistance at level 0 (empty, cold)
     * @param most resistance at level 1 (full, hot)
     */
    record Sender(String level, Ohms least, Ohms most) implements Kind {
        public Sender {
            Names.require(level);
        }

        @Override
        public List<String> pins() {
            return List.of("T", "31");
        }

        @Override
        public Optional<String> casePin() {
            return Optional.of("31");
        }
    }

    /** Gauge, by its resistance and the current at which it stands at full scale. */
    record Gauge(Ohms winding, Amps fullScale) implements Kind {
        public Gauge {
            Positive.require("gauge resistance", winding);
            Positive.require("full-scale current", fullScale);
        }

        @Override
        public List<String> pins() {
            return List.of("B", "T");
        }
    }

    /**
     * Stabiliser for thermal gauges: it pulses, and its mean output is steady. Needs its case
     * earthed.
     */
    record Stabiliser(Volts mean) implements Kind {
        public Stabiliser {
            Positive.require("mean volts", mean);
        }

        @Override
        public List<String> pins() {
            return List.of("B", "I", "31");
        }

        @Override
        public Optional<String> casePin() {
            return Optional.of("31");
        }
    }

    /** Resistor, a ballast among them. */
    record Resistor(Ohms resistance) implements Kind {
        public Resistor {
            Positive.require("resistance", resistance);
        }

        @Override
        public List<String> pins() {
            return List.of("1", "2");
        }
    }

    /** Silicon diode, anode A to cathode K. */
    record Diode(Amps rating) implements Kind {
        public Diode {
            Positive.require("diode rating", rating);
        }

        @Override
        public List<String> pins() {
            return List.of("A", "K");
        }
    }

    /** Anything else, by what it draws at rated volts: a horn, a radio, a heater. */
    record Load(Demand demand, Volts rated) implements Kind {
        public Load {
            Positive.require("rated volts", rated);
        }

        @Override
        public List<String> pins() {
            return List.of("+", "31");
        }

        @Override
        public Optional<String> casePin() {
            return Optional.of("31");
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
    }

    /** Wires joined for good, or a bus bar. */
    record Splice() implements Kind {
        @Override
        public List<String> pins() {
            return List.of("J");
        }
    }

    /** Inline connector; way {@code n} has the pins {@code na} and {@code nb}. */
    record Connector(List<String> ways, Amps rating) implements Kind {
        public Connector {
            ways = List.copyOf(ways);
            ways.forEach(Names::require);
            Positive.require("rating of a way", rating);
        }

        @Override
        public List<String> pins() {
            return ways.stream().flatMap(way -> Stream.of(way + "a", way + "b")).toList();
        }

        @Override
        public Set<String> sparePins() {
            return Set.copyOf(pins());
        }
    }

    /** A place where wires or cases meet the metal of the vehicle. */
    record EarthPoint(Mass mass, Ohms joint) implements Kind {
        public EarthPoint {
            Positive.require("joint resistance", joint);
        }

        @Override
        public List<String> pins() {
            return List.of("E");
        }
    }

    /**
     * The metal an earth point is bolted to. The engine stands on rubber: it is earthed only by a
     * strap.
     */
    enum Mass {
        BODY,
        ENGINE
    }
}
