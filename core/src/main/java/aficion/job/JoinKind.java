package aficion.job;

import aficion.catalogue.Housings;
import aficion.catalogue.Housings.Housing;
import aficion.quantity.Amps;
import aficion.quantity.Farads;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Volts;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** What joins, earths, divides or blocks on the way. */
public sealed interface JoinKind extends Kind {

    /** Wires joined for good, or a bus bar. */
    record Splice() implements JoinKind {
        @Override
        public List<String> pins() {
            return List.of("J");
        }
    }

    /**
     * Inline connector; way {@code n} has the pins {@code na} and {@code nb}.
     *
     * @param rating of a way
     * @param housed the body it is of, where that has been said
     */
    record Connector(List<String> ways, Amps rating, Optional<Housed> housed) implements JoinKind {
        public Connector {
            ways = List.copyOf(ways);
            ways.forEach(Names::require);
            Positive.require("rating of a way", rating);
        }

        /** A connector of which only the ways are known. */
        public Connector(List<String> ways, Amps rating) {
            this(ways, rating, Optional.empty());
        }

        /** The same in a body, or in none that is known. */
        public Connector in(Optional<Housed> body) {
            return new Connector(ways, rating, body);
        }

        /** What a way carries: as rated, and no more than its body lets it. */
        private Amps carries() {
            return housed.map(body -> body.housing().carries())
                    .filter(most -> most.value() < rating.value())
                    .orElse(rating);
        }

        @Override
        public List<String> pins() {
            return ways.stream()
                    .flatMap(way -> Stream.of(Half.A.pin(way), Half.B.pin(way)))
                    .toList();
        }

        @Override
        public Set<String> sparePins() {
            return Set.copyOf(pins());
        }

        @Override
        public List<Pass> passes() {
            return ways.stream()
                    .map(way -> Pass.contact(Half.A.pin(way), Half.B.pin(way), carries()))
                    .toList();
        }
    }

    /**
     * The body of a connector.
     *
     * @param body its key in the catalogue
     * @param sockets the half that has the sockets: the one that stays live when it is parted
     * @param blanked whether cavities without a wire are plugged
     */
    record Housed(String body, Half sockets, boolean blanked) {
        /**
         * @throws IllegalArgumentException when there is no such body
         */
        public Housed {
            if (Housings.find(body).isEmpty()) {
                throw new IllegalArgumentException("there is no connector body " + body);
            }
        }

        /** The same body with its sockets on a half. */
        public Housed withSockets(Half half) {
            return new Housed(body, half, blanked);
        }

        /** The same with its empty cavities plugged, or open. */
        public Housed withBlanks(boolean plugged) {
            return new Housed(body, sockets, plugged);
        }

        /** The same in another body. */
        public Housed in(String other) {
            return new Housed(other, sockets, blanked);
        }

        /** The body. */
        public Housing housing() {
            return Housings.find(body).orElseThrow();
        }

        /** The terminal that a half takes. */
        public Termination takes(Half half) {
            return new Termination(half == sockets ? housing().sockets() : housing().pins());
        }
    }

    /** A half of a connector. */
    enum Half {
        A("a"),
        B("b");

        private final String mark;

        Half(String mark) {
            this.mark = mark;
        }

        /** The pin of a way in it. */
        public String pin(String way) {
            return way + mark;
        }

        /** The half that is plugged to it. */
        public Half mate() {
            return this == A ? B : A;
        }

        /** The half that a pin is in. */
        public static Half of(String pin) {
            return pin.endsWith(A.mark) ? A : B;
        }
    }

    /** A place where wires or cases meet the metal of the vehicle. */
    record EarthPoint(Mass mass, Ohms joint) implements JoinKind {
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

    /** Resistor, a ballast among them. */
    record Resistor(Ohms resistance) implements JoinKind {
        public Resistor {
            Positive.require("resistance", resistance);
        }

        @Override
        public List<String> pins() {
            return List.of("1", "2");
        }

        @Override
        public boolean alikeBothWays() {
            return true;
        }
    }

    /** Silicon diode, anode A to cathode K. */
    record Diode(Amps rating) implements JoinKind {
        public Diode {
            Positive.require("diode rating", rating);
        }

        @Override
        public List<String> pins() {
            return List.of("A", "K");
        }

        @Override
        public List<Pass> passes() {
            return List.of(Pass.contact("A", "K", rating));
        }
    }

    /**
     * Stabiliser for thermal gauges: it pulses, and its mean output is steady. Needs its case
     * earthed.
     */
    record Stabiliser(Volts mean) implements JoinKind {
        public Stabiliser {
            Positive.require("mean volts", mean);
        }

        @Override
        public List<String> pins() {
            return List.of("B", "I", "31");
        }
    }

    /**
     * Sender: a resistance that follows a level.
     *
     * @param level the name the conditions know the level by
     * @param least resistance at level 0 (empty, cold)
     * @param most resistance at level 1 (full, hot)
     * @param curve what it is between, for senders that are not straight
     * @param family the family of gauges it is made for
     */
    record Sender(
            String level, Ohms least, Ohms most, Optional<Curve> curve, Optional<String> family)
            implements JoinKind {
        public Sender {
            Names.require(level);
        }

        public Sender(String level, Ohms least, Ohms most) {
            this(level, least, most, Optional.empty(), Optional.empty());
        }

        /** The resistance at a level, straight between the points of the curve. */
        public Ohms at(double level) {
            var points = curve.map(Curve::points).orElse(List.of());
            var from = new CurvePoint(new Ratio(0), least);
            for (var point : points) {
                if (level <= point.level().value()) {
                    return from.towards(point, level);
                }
                from = point;
            }
            return from.towards(new CurvePoint(new Ratio(1), most), level);
        }

        @Override
        public List<String> pins() {
            return List.of("T", "31");
        }

        @Override
        public Optional<String> feels() {
            return Optional.of(level);
        }

        @Override
        public boolean consumes() {
            return true;
        }
    }

    /** The points of a sender between its ends, by rising level. */
    record Curve(List<CurvePoint> points) {
        public Curve {
            points = List.copyOf(points);
            double before = 0;
            for (var point : points) {
                if (!(point.level().value() > before && point.level().value() < 1)) {
                    throw new IllegalArgumentException(
                            "a sender's curve rises from level to level between 0 and 1");
                }
                before = point.level().value();
            }
        }
    }

    /** A point of a sender's curve. */
    record CurvePoint(Ratio level, Ohms ohms) {
        Ohms towards(CurvePoint to, double wanted) {
            double share = (wanted - level.value()) / (to.level.value() - level.value());
            return new Ohms(ohms.value() + share * (to.ohms.value() - ohms.value()));
        }
    }

    /** Capacitor; a polarised one has its positive end at +. */
    record Capacitor(Farads capacitance) implements JoinKind {
        public Capacitor {
            Positive.require("capacitance", capacitance);
        }

        @Override
        public List<String> pins() {
            return List.of("+", "31");
        }
    }
}
