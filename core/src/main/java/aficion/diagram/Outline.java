package aficion.diagram;

import aficion.diagram.Diagram.Side;
import aficion.job.Contact;
import aficion.job.ControlKind;
import aficion.job.GuardKind;
import aficion.job.JoinKind;
import aficion.job.Kind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.SourceKind;
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

    /** The same with two pins on each other's side. */
    Outline exchanged(String one, String other) {
        return new Outline(
                width,
                height,
                seats.stream()
                        .map(each ->
                                each.pin().equals(one) || each.pin().equals(other)
                                        ? new Seat(each.pin(), opposite(each.side()), each.row())
                                        : each)
                        .toList());
    }

    /** The same seen in a mirror. */
    Outline mirrored() {
        return new Outline(
                width,
                height,
                seats.stream()
                        .map(each -> new Seat(each.pin(), opposite(each.side()), each.row()))
                        .toList());
    }

    private static Side opposite(Side side) {
        return switch (side) {
            case LEFT -> Side.RIGHT;
            case RIGHT -> Side.LEFT;
            case ALL -> Side.ALL;
        };
    }

    /**
     * The outline of a part.
     *
     * @param used the pins that wires of the circuit reach
     * @param folded whether a fuse box shows its ways as bare lines, close together
     */
    static Outline of(Part part, Set<String> used, boolean folded) {
        return switch (part.kind()) {
            case SourceKind.Battery _, SourceKind.BenchSupply _ ->
                    new Outline(5, 6, List.of(right("+", 2), right("-", 4)));
            case SourceKind.ControlBox box ->
                    fed(List.of("D", "F"), shown(List.of("A", "A1", "E"), box, used));
            case SourceKind.FieldRegulator _ -> fed(List.of("D+"), List.of("DF", "31"));
            case SourceKind.RegulatorRectifier rectifier ->
                    fed(rectifier.inputs(), shown(List.of("B+", "B-", "S"), rectifier, used));
            case SourceKind _ -> source(part, used);
            case LoadKind.Starter _ -> starter(used);
            case ControlKind.Switch hand -> hand(hand, used);
            case GuardKind.Fuse _ -> through(5, 2, 1, "1", "2");
            case GuardKind.FuseBox(var ways) -> fuseBox(ways, used, folded ? 1 : 3);
            case ControlKind.Relay relay -> relay(relay);
            case ControlKind.LatchingRelay _ ->
                    new Outline(
                            7,
                            10,
                            List.of(
                                    left("30", 2),
                                    right("87", 2),
                                    left("S", 6),
                                    left("R", 8),
                                    right("31", 7)));
            case ControlKind.Module module -> module(module, used);
            case ControlKind.IgnitionBox _ ->
                    new Outline(7, 6, List.of(left("15", 2), left("1", 4), right("31", 3)));
            case ControlKind.Flasher flasher -> flasher(flasher);
            case LoadKind.Lamp(_, var filaments) -> lamp(filaments);
            case LoadKind.WarningLamp _ -> through(5, 4, 2, "1", "2");
            case LoadKind.LedLamp _ -> through(8, 5, 2, "+", "31");
            case LoadKind.TwoSpeedMotor _ ->
                    new Outline(7, 6, List.of(left("53", 2), left("53b", 4), right("31", 3)));
            case LoadKind.WiperMotor _ ->
                    new Outline(
                            7,
                            8,
                            List.of(left("53", 2), left("53a", 4), left("31b", 6), right("31", 2)));
            case LoadKind.Motor _,
                    LoadKind.Load _,
                    LoadKind.Heater _,
                    LoadKind.Buzzer _,
                    LoadKind.Voltmeter _,
                    JoinKind.Capacitor _ ->
                    through(7, 4, 2, "+", "31");
            case LoadKind.Magneto _ -> through(7, 4, 2, "kill", "31");
            case LoadKind.IgnitionCoil _ -> through(7, 4, 2, "15", "1");
            case ControlKind.Points _, ControlKind.LevelSwitch _ -> through(6, 4, 2, "1", "31");
            case JoinKind.Sender _ -> through(6, 4, 2, "T", "31");
            case LoadKind.Gauge _ -> through(6, 4, 2, "B", "T");
            case LoadKind.Ammeter _ -> through(6, 4, 2, "A", "B");
            case JoinKind.Stabiliser _ ->
                    new Outline(7, 4, List.of(left("B", 1), right("I", 1), right("31", 3)));
            case JoinKind.Resistor _ -> through(5, 2, 1, "1", "2");
            case JoinKind.Diode _ -> through(4, 2, 1, "A", "K");
            case JoinKind.Splice() -> new Outline(0, 0, List.of(new Seat("J", Side.ALL, 0)));
            case JoinKind.Connector(var ways, _, _) -> connector(ways, used);
            case JoinKind.EarthPoint _ -> new Outline(4, 2, List.of(right("E", 1)));
        };
    }

    /**
     * Everything it has stands right, since a source begins the path; unused spare pins left out.
     */
    private static Outline source(Part part, Set<String> used) {
        var seats = new ArrayList<Seat>();
        int row = 2;
        for (var pin : shown(part.kind().pins(), part.kind(), used)) {
            seats.add(right(pin, row));
            row += 2;
        }
        return new Outline(7, Math.max(5, row - 1), seats);
    }

    private static List<String> shown(List<String> pins, Kind kind, Set<String> used) {
        return pins.stream()
                .filter(pin -> used.contains(pin) || !kind.sparePins().contains(pin))
                .toList();
    }

    /** What stands behind a source: what feeds it left, the rest right. */
    private static Outline fed(List<String> ins, List<String> outs) {
        int height = 2 * Math.max(ins.size(), outs.size()) + 3;
        var seats = new ArrayList<Seat>();
        spread(ins, Side.LEFT, height, seats);
        spread(outs, Side.RIGHT, height, seats);
        return new Outline(8, height, seats);
    }

    private static Outline starter(Set<String> used) {
        var seats = new ArrayList<>(List.of(left("30", 2), left("50", 4), right("31", 3)));
        if (used.contains("15a")) {
            seats.add(right("15a", 5));
        }
        return new Outline(8, 6, seats);
    }

    private static Outline flasher(ControlKind.Flasher flasher) {
        return switch (flasher.form()) {
            case THERMAL -> through(7, 4, 2, "49", "49a");
            case ELECTRONIC ->
                    new Outline(7, 5, List.of(left("49", 2), right("49a", 2), right("31", 4)));
        };
    }

    private static Outline module(ControlKind.Module module, Set<String> used) {
        var ins = new ArrayList<>(List.of("15"));
        module.inputs().stream().filter(used::contains).forEach(ins::add);
        var outs = new ArrayList<String>();
        module.outputs().stream()
                .map(ControlKind.Output::pin)
                .filter(used::contains)
                .forEach(outs::add);
        outs.add("31");
        int height = Math.max(4, 2 * Math.max(ins.size(), outs.size()) + 2);
        var seats = new ArrayList<Seat>();
        spread(ins, Side.LEFT, height, seats);
        spread(outs, Side.RIGHT, height, seats);
        return new Outline(8, height, seats);
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
    private static Outline hand(ControlKind.Switch hand, Set<String> used) {
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

    private static Outline fuseBox(List<GuardKind.Way> ways, Set<String> used, int step) {
        var seats = new ArrayList<Seat>();
        int row = 1;
        for (var way : ways) {
            if (used.contains(way.in()) || used.contains(way.out())) {
                seats.add(left(way.in(), row));
                seats.add(right(way.out(), row));
                row += step;
            }
        }
        return new Outline(5, Math.max(2, row - step + 1), seats);
    }

    private static Outline relay(ControlKind.Relay relay) {
        var seats = new ArrayList<>(List.of(left("30", 2), right("87", 2)));
        relay.breaks().ifPresent(_ -> seats.add(right("87a", 4)));
        seats.add(left("86", 6));
        seats.add(right("85", 6));
        return new Outline(7, 8, seats);
    }

    private static Outline lamp(List<LoadKind.Filament> filaments) {
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
                seats.add(left(JoinKind.Half.A.pin(way), row));
                seats.add(right(JoinKind.Half.B.pin(way), row));
                row += 2;
            }
        }
        return new Outline(4, Math.max(2, row - 1), seats);
    }
}
