package aficion.diagram;

import aficion.diagram.Diagram.Side;
import aficion.job.Contact;
import aficion.job.Kind;
import aficion.job.Part;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/**
 * The body of a part in grid steps: how wide and high, and at which row of which side each pin is.
 *
 * @param seats the pins that are shown
 */
record Outline(int width, int height, List<Seat> seats) {

    record Seat(String pin, Side side, int row) {}

    Outline {
        seats = List.copyOf(seats);
    }

    Seat seat(String pin) {
        return seats.stream().filter(seat -> seat.pin().equals(pin)).findFirst().orElseThrow();
    }

    /**
     * The outline of a part.
     *
     * @param used the pins that wires of the circuit reach
     */
    static Outline of(Part part, Set<String> used) {
        return switch (part.kind()) {
            case Kind.Battery _ -> new Outline(5, 6, List.of(right("+", 2), right("-", 4)));
            case Kind.Alternator _ ->
                    new Outline(7, 7, List.of(right("B+", 2), right("D+", 4), right("31", 6)));
            case Kind.Starter _ ->
                    new Outline(8, 6, List.of(left("30", 2), left("50", 4), right("31", 3)));
            case Kind.Switch hand -> hand(hand, used);
            case Kind.Fuse _ -> through(5, 2, 1, "1", "2");
            case Kind.FuseBox(var ways) -> fuseBox(ways, used);
            case Kind.Relay relay -> relay(relay);
            case Kind.Lamp(_, var filaments) -> lamp(filaments);
            case Kind.WarningLamp _ -> through(5, 4, 2, "1", "2");
            case Kind.Motor _, Kind.Load _ -> through(7, 4, 2, "+", "31");
            case Kind.IgnitionCoil _ -> through(7, 4, 2, "15", "1");
            case Kind.Points _ -> through(6, 4, 2, "1", "31");
            case Kind.Sender _ -> through(6, 4, 2, "T", "31");
            case Kind.Gauge _ -> through(6, 4, 2, "B", "T");
            case Kind.Stabiliser _ ->
                    new Outline(7, 4, List.of(left("B", 1), right("I", 1), right("31", 3)));
            case Kind.Resistor _ -> through(5, 2, 1, "1", "2");
            case Kind.Diode _ -> through(4, 2, 1, "A", "K");
            case Kind.Splice() -> new Outline(0, 0, List.of(new Seat("J", Side.ALL, 0)));
            case Kind.Connector(var ways, _) -> connector(ways, used);
            case Kind.EarthPoint _ -> new Outline(4, 2, List.of(right("E", 1)));
        };
    }

    private static Seat left(String pin, int row) {
        return new Seat(pin, Side.LEFT, row);
    }

    private static Seat right(String pin, int row) {
        return new Seat(pin, Side.RIGHT, row);
    }

    private static Outline through(int width, int height, int row, String in, String out) {
        return new Outline(width, height, List.of(left(in, row), right(out, row)));
    }

    /**
     * Pins that only feed contacts stand left, the others right; pins that nothing shown can reach
     * are left out.
     */
    private static Outline hand(Kind.Switch hand, Set<String> used) {
        var contacts = hand.contacts();
        var outs = contacts.stream().map(Contact::other).distinct().toList();
        var ins = hand.pins().stream().filter(pin -> !outs.contains(pin)).toList();
        var shownOuts = hand.pins().stream().filter(outs::contains).toList();
        int rows = Math.max(ins.size(), shownOuts.size());
        int height = Math.max(4, 2 * rows + 2);
        var seats = new ArrayList<Seat>();
        spread(ins, Side.LEFT, height, seats);
        spread(shownOuts, Side.RIGHT, height, seats);
        return new Outline(7, height, seats);
    }

    private static void spread(List<String> pins, Side side, int height, List<Seat> seats) {
        int first = (height - 2 * (pins.size() - 1) + 1) / 2;
        for (int i = 0; i < pins.size(); i++) {
            seats.add(new Seat(pins.get(i), side, first + 2 * i));
        }
    }

    private static Outline fuseBox(List<Kind.Way> ways, Set<String> used) {
        var seats = new ArrayList<Seat>();
        int row = 1;
        for (var way : ways) {
            if (used.contains(way.in()) || used.contains(way.out())) {
                seats.add(left(way.in(), row));
                seats.add(right(way.out(), row));
                row += 3;
            }
        }
        return new Outline(5, Math.max(2, row - 2), seats);
    }

    private static Outline relay(Kind.Relay relay) {
        var seats = new ArrayList<>(List.of(left("30", 2), right("87", 2)));
        relay.breaks().ifPresent(_ -> seats.add(right("87a", 4)));
        seats.add(left("86", 6));
        seats.add(right("85", 6));
        return new Outline(7, 8, seats);
    }

    private static Outline lamp(List<Kind.Filament> filaments) {
        if (filaments.size() == 1) {
            return through(8, 5, 2, filaments.getFirst().pin(), "31");
        }
        return new Outline(
                8,
                8,
                List.of(
                        left(filaments.getFirst().pin(), 2),
                        left(filaments.getLast().pin(), 6),
                        right("31", 4)));
    }

    private static Outline connector(List<String> ways, Set<String> used) {
        var seats = new ArrayList<Seat>();
        int row = 1;
        for (var way : ways) {
            if (Stream.of("a", "b").anyMatch(side -> used.contains(way + side))) {
                seats.add(left(way + "a", row));
                seats.add(right(way + "b", row));
                row += 2;
            }
        }
        return new Outline(4, Math.max(2, row - 1), seats);
    }
}
