package aficion.verb;

import aficion.catalogue.Zone;
import aficion.job.CircuitId;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.End;
import aficion.job.GuardKind;
import aficion.job.JoinKind;
import aficion.job.Kind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.job.WireId;
import aficion.job.edit.CompositeEdit;
import aficion.job.edit.CompositeEdit.Reason;
import aficion.job.edit.Edit;
import aficion.job.edit.NewNames;
import aficion.job.edit.PartEdit;
import aficion.job.edit.WireEdit;
import aficion.quantity.Metres;
import aficion.route.RunLength;
import aficion.verb.Attempt.Possible;
import aficion.verb.Attempt.Refusal;
import aficion.verb.Attempt.Refused;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Puts a part into a wire, onto a terminal, or in the place of another. */
public final class Placing {
    /** How long the piece before a new part is, until it is measured. */
    private static final Metres PIECE = new Metres(0.3);

    private final Design design;
    private final String name;
    private final Kind kind;

    private Placing(Design design, String name, Kind kind) {
        this.design = design;
        this.name = name;
        this.kind = kind;
    }

    /** Cuts a wire and leads it through the part. */
    public static Attempt into(Design design, WireId wire, String name, Kind kind) {
        return new Placing(design, name, kind).into(design.wire(wire));
    }

    /** Adds the part with a wire from a terminal to its feed, and its return to earth. */
    public static Attempt onto(
            Design design, CircuitId circuit, Terminal at, String name, Kind kind) {
        return new Placing(design, name, kind).onto(circuit, at);
    }

    /** Adds the part with nothing joined to it. */
    public static Edit loose(Design design, String name, Kind kind) {
        var fresh = new Placing(design, name, kind).fresh();
        return new PartEdit.AddPart(
                NewNames.part(design, letter(kind), Zone.CABIN, fresh).withName(name));
    }

    /** Puts the part where another is; every wire stays on its pin. */
    public static Attempt instead(Design design, PartId part, Kind kind) {
        boolean kept =
                design.wires().stream()
                        .flatMap(wire -> wire.terminals().stream())
                        .filter(end -> end.part().equals(part))
                        .allMatch(end -> kind.pins().contains(end.pin()));
        boolean hangs = design.part(part).mount().isPresent() && kind.casePin().isEmpty();
        boolean holds =
                design.part(part).kind() instanceof JoinKind.EarthPoint
                        && !(kind instanceof JoinKind.EarthPoint);
        if (!kept || hangs || holds) {
            return new Refused(Refusal.OTHER_PINS);
        }
        return kind.equals(design.part(part).kind())
                ? new Refused(Refusal.NOTHING_TO_DO)
                : new Possible(new PartEdit.Refit(part, kind));
    }

    private Attempt into(Wire wire) {
        if (kind instanceof ControlKind.Relay) {
            return RelayInsertion.into(design, wire)
                    .<Attempt>map(Possible::new)
                    .orElse(new Refused(Refusal.NO_EARTH_POINT));
        }
        var way = way(kind);
        if (way.isEmpty()) {
            return new Refused(Refusal.NO_WAY_THROUGH);
        }
        var part = NewNames.part(design, letter(kind), wire.zone(), fresh()).withName(name);
        var lead =
                wire.like(
                                NewNames.wire(design),
                                NewNames.number(design, wire.circuit()),
                                wire.from(),
                                end(part, way.get().in()))
                        .withLength(new RunLength.Assumed(PIECE));
        var insert =
                new PartEdit.InsertPart(wire.id(), part, way.get().in(), way.get().out(), lead);
        return new Possible(earthed(part, insert, wire.circuit(), lead));
    }

    /** The edit, and the return of what has one: a diode has none, an electronic flasher does. */
    private Edit earthed(Part part, Edit edit, CircuitId circuit, Wire like) {
        var back = returns(part, circuit, like, edit.apply(design));
        return back.isEmpty() ? edit : new CompositeEdit(Reason.ADD_PART, with(edit, back));
    }

    private Attempt onto(CircuitId circuit, Terminal at) {
        var pin = feedPin(kind);
        if (pin.isEmpty()) {
            return new Refused(Refusal.NO_WAY_THROUGH);
        }
        var zone = design.part(at.part()).zone();
        var part = NewNames.part(design, letter(kind), zone, fresh()).withName(name);
        var add = new PartEdit.AddPart(part);
        var with = add.apply(design);
        var wire = Connection.between(with, circuit, at, part.terminal(pin.get()));
        var join = new WireEdit.AddWire(wire);
        var edits = new ArrayList<Edit>(List.of(add, join));
        edits.addAll(returns(part, circuit, wire, join.apply(with)));
        return new Possible(new CompositeEdit(Reason.ADD_PART, edits));
    }

    /** What takes a part's return to earth: its case, or a wire. */
    private List<Edit> returns(Part part, CircuitId circuit, Wire like, Design with) {
        var pin = part.kind().pins().contains("31") ? Optional.of("31") : coilReturn(part.kind());
        var earth = Earths.nearest(design, part.zone());
        if (pin.isEmpty() || earth.isEmpty()) {
            return List.of();
        }
        if (part.kind().casePin().equals(pin)) {
            return List.of(new PartEdit.Mount(part.id(), earth.get().id()));
        }
        var wire =
                Connection.between(
                        with, circuit, part.terminal(pin.get()), earth.get().terminal("E"));
        return List.of(new WireEdit.AddWire(wire.withLength(like.length())));
    }

    private static Optional<String> coilReturn(Kind kind) {
        return kind instanceof ControlKind.Relay ? Optional.of("85") : Optional.empty();
    }

    private static List<Edit> with(Edit first, List<Edit> more) {
        var all = new ArrayList<Edit>(List.of(first));
        all.addAll(more);
        return all;
    }

    private static End end(Part part, String pin) {
        return new End(part.terminal(pin), Ends.usual(part, pin));
    }

    /** The kind, a switch with a control that no other has. */
    private Kind fresh() {
        return kind instanceof ControlKind.Switch hand ? NewNames.control(design, hand) : kind;
    }

    /** The two pins a wire can be led through. */
    private record Way(String in, String out) {}

    private static Optional<Way> way(Kind kind) {
        return switch (kind) {
            case GuardKind.Fuse _, JoinKind.Resistor _ -> Optional.of(new Way("1", "2"));
            case JoinKind.Diode _ -> Optional.of(new Way("A", "K"));
            case JoinKind.Splice _ -> Optional.of(new Way("J", "J"));
            case LoadKind.Ammeter _ -> Optional.of(new Way("A", "B"));
            case JoinKind.Stabiliser _ -> Optional.of(new Way("B", "I"));
            case ControlKind.Flasher _ -> Optional.of(new Way("49", "49a"));
            case LoadKind.WarningLamp _ -> Optional.of(new Way("1", "2"));
            case GuardKind.FuseBox box -> first(box);
            case JoinKind.Connector(var ways, _, _) ->
                    ways.stream()
                            .findFirst()
                            .map(way ->
                                    new Way(JoinKind.Half.A.pin(way), JoinKind.Half.B.pin(way)));
            case ControlKind.Switch hand ->
                    hand.contacts().stream()
                            .findFirst()
                            .map(contact -> new Way(contact.one(), contact.other()));
            case ControlKind.LatchingRelay _ -> Optional.of(new Way("30", "87"));
            case ControlKind _,
                    LoadKind.Lamp _,
                    LoadKind.Motor _,
                    LoadKind.WiperMotor _,
                    LoadKind.TwoSpeedMotor _,
                    LoadKind.Starter _,
                    LoadKind.IgnitionCoil _,
                    LoadKind.Gauge _,
                    LoadKind.Voltmeter _,
                    LoadKind.Load _,
                    LoadKind.LedLamp _,
                    LoadKind.Buzzer _,
                    LoadKind.Heater _,
                    LoadKind.Magneto _,
                    JoinKind _,
                    SourceKind _ ->
                    Optional.empty();
        };
    }

    private static Optional<Way> first(GuardKind.FuseBox box) {
        return box.ways().stream().findFirst().map(way -> new Way(way.in(), way.out()));
    }

    /** The pin that a part is fed at. */
    private static Optional<String> feedPin(Kind kind) {
        return way(kind)
                .map(Way::in)
                .or(() ->
                        kind.pins().stream()
                                .filter(pin -> !pin.equals("31") && !pin.equals("85"))
                                .findFirst());
    }

    /** The letter parts of a kind are named by. */
    private static String letter(Kind kind) {
        return switch (kind) {
            case SourceKind _ -> "G";
            case GuardKind _ -> "F";
            case ControlKind.Relay _, ControlKind.LatchingRelay _, ControlKind.Flasher _ -> "K";
            case ControlKind.Module _, ControlKind.IgnitionBox _ -> "A";
            case ControlKind.Switch _, ControlKind.LevelSwitch _, ControlKind.Points _ -> "S";
            case LoadKind.Lamp _, LoadKind.WarningLamp _, LoadKind.LedLamp _ -> "H";
            case LoadKind.Motor _,
                    LoadKind.TwoSpeedMotor _,
                    LoadKind.WiperMotor _,
                    LoadKind.Starter _ ->
                    "M";
            case LoadKind.Gauge _, LoadKind.Ammeter _, LoadKind.Voltmeter _ -> "P";
            case LoadKind.IgnitionCoil _, LoadKind.Magneto _ -> "T";
            case LoadKind.Load _, LoadKind.Buzzer _, LoadKind.Heater _ -> "R";
            case JoinKind.Splice _ -> "J";
            case JoinKind.Connector _ -> "X";
            case JoinKind.EarthPoint _ -> "E";
            case JoinKind.Diode _ -> "V";
            case JoinKind.Resistor _, JoinKind.Stabiliser _, JoinKind.Sender _ -> "R";
            case JoinKind.Capacitor _ -> "C";
        };
    }
}
