package aficion.verb;

import aficion.catalogue.Conductor;
import aficion.catalogue.Conductors;
import aficion.catalogue.Insulation;
import aficion.catalogue.Terminals;
import aficion.catalogue.WireSize;
import aficion.catalogue.Zone;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.End;
import aficion.job.GuardKind;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.Termination;
import aficion.job.Wire;
import java.util.List;

/** What a new wire is like: its ends by what they end on (docs/SOURCES.md), size and cover. */
public final class Ends {
    private Ends() {}

    /** The end that a terminal takes where its part is. */
    public static End on(Design design, Terminal terminal) {
        return on(design.part(terminal.part()), terminal.pin());
    }

    /** The end that a pin of a part takes where the part is. */
    public static End on(Part part, String pin) {
        var usual = usual(part, pin);
        return new End(part.terminal(pin), part.zone().isWet() ? usual.sealed() : usual);
    }

    /**
     * What may be crimped to the end of a wire on a terminal: what its copper fits and the stud
     * takes, and what is there.
     */
    public static List<Termination> fitting(Design design, Wire wire, Terminal terminal) {
        var now = wire.at(terminal).termination();
        var stud = design.part(terminal.part()).stud(terminal.pin());
        var copper = wire.conductor().copper();
        return Terminals.all().stream()
                .filter(each ->
                        each.key().equals(now.key())
                                || each.takes(copper) && each.grips(copper) && each.goesOn(stud))
                .map(each -> new Termination(each.key()))
                .toList();
    }

    /** The thinnest that the house allows, in the standard it buys by. */
    public static WireSize thinnest(Design design) {
        var least = design.rules().leastSection().value();
        return Conductors.of(design.rules().sizes()).stream()
                .filter(size -> size.copper().value() >= 0.999 * least)
                .findFirst()
                .map(Conductor::size)
                .orElseThrow();
    }

    /** Near the engine, what bears its heat. */
    public static Insulation cover(Zone zone) {
        return zone == Zone.ENGINE_BAY || zone == Zone.ON_ENGINE
                ? Insulation.XLPE125
                : Insulation.PVC105;
    }

    static Termination usual(Part part, String pin) {
        return switch (part.kind()) {
            case SourceKind.Battery _ -> Termination.POST_CLAMP;
            case LoadKind.Starter _ ->
                    pin.equals("30") ? Termination.RING_M8 : Termination.BLADE_6_3;
            case SourceKind.Alternator _ ->
                    pin.equals("B+") ? Termination.RING_M6 : Termination.BLADE_6_3;
            case SourceKind.Dynamo _, SourceKind.ControlBox _ -> Termination.RING_M5;
            case JoinKind.EarthPoint _ -> Termination.RING_M6;
            case JoinKind.Splice _ -> Termination.SPLICE;
            case GuardKind.Fuse fuse when fuse.marking().value() > 30 -> Termination.RING_M6;
            case ControlKind _,
                    GuardKind _,
                    LoadKind.Lamp _,
                    LoadKind.WarningLamp _,
                    LoadKind.Motor _,
                    LoadKind.WiperMotor _,
                    LoadKind.TwoSpeedMotor _,
                    LoadKind.IgnitionCoil _,
                    LoadKind.Gauge _,
                    LoadKind.Ammeter _,
                    LoadKind.Voltmeter _,
                    LoadKind.Load _,
                    LoadKind.LedLamp _,
                    LoadKind.Buzzer _,
                    LoadKind.Heater _,
                    LoadKind.Magneto _,
                    JoinKind _,
                    SourceKind _ ->
                    Termination.BLADE_6_3;
        };
    }
}
