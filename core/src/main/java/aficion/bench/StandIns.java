package aficion.bench;

import aficion.job.CircuitId;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.GuardKind;
import aficion.job.JoinKind;
import aficion.job.Kind;
import aficion.job.LoadKind;
import aficion.job.LoadKind.Filament;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.quantity.Ohms;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import java.util.ArrayList;
import java.util.List;

/**
 * The harness on the bench with test lamps in place of its loads: what is small by one of 5 W, what
 * is larger by one of 21 W. What is expected follows from them.
 *
 * @param design with the stand-ins in it
 * @param list what stands for what, in the order of the parts
 */
public record StandIns(Design design, List<StandIn> list) {
    private static final Watts SMALL = new Watts(5);
    private static final Watts LARGE = new Watts(21);

    /** Up to that a load has a lamp of 5 W for it, watts. */
    private static final double SMALL_UP_TO = 12;

    /** What a lamp is rated at, as a multiple of the system's volts (ECE R37: 13.5 V of 12). */
    private static final double RATED = 13.5 / 12;

    public StandIns {
        list = List.copyOf(list);
    }

    /**
     * One of them.
     *
     * @param pin the pin that the lamp is clipped to
     */
    public record StandIn(PartId part, String pin, Watts lamp) {}

    /** What a test lamp is rated at. */
    static Volts rated(Design design) {
        return new Volts(RATED * design.vehicle().system().value());
    }

    /** The design with stand-ins for the loads of a circuit. */
    public static StandIns of(Design design, CircuitId circuit) {
        var rated = rated(design);
        var ours = design.partsOf(circuit);
        var list = new ArrayList<StandIn>();
        var parts = new ArrayList<Part>();
        for (var part : design.parts()) {
            var lamps = ours.contains(part) ? lamps(part.kind(), rated) : List.<Filament>of();
            lamps.forEach(lamp -> list.add(new StandIn(part.id(), lamp.pin(), lamp.watts())));
            parts.add(lamps.isEmpty() ? part : part.withKind(new LoadKind.Lamp(rated, lamps)));
        }
        return new StandIns(list.isEmpty() ? design : design.withParts(parts), list);
    }

    /** What is clipped in place of a load, pin by pin; none for what stays as it is. */
    private static List<Filament> lamps(Kind kind, Volts rated) {
        return switch (kind) {
            case LoadKind.Lamp(_, var filaments) ->
                    filaments.stream().map(each -> lamp(each.pin(), each.watts().value())).toList();
            case LoadKind.Motor motor ->
                    List.of(lamp("+", motor.running().value() * rated.value()));
            case LoadKind.TwoSpeedMotor motor ->
                    List.of(
                            lamp("53", motor.low().value() * rated.value()),
                            lamp("53b", motor.high().value() * rated.value()));
            case LoadKind.Load load -> List.of(lamp("+", watts(load.resistance(), rated)));
            case LoadKind.Heater heater -> List.of(lamp("+", watts(heater.warm(), rated)));
            case LoadKind.WarningLamp _,
                    LoadKind.WiperMotor _,
                    LoadKind.Starter _,
                    LoadKind.IgnitionCoil _,
                    LoadKind.Gauge _,
                    LoadKind.Ammeter _,
                    LoadKind.Voltmeter _,
                    LoadKind.LedLamp _,
                    LoadKind.Buzzer _,
                    LoadKind.Magneto _,
                    SourceKind _,
                    GuardKind _,
                    ControlKind _,
                    JoinKind _ ->
                    List.of();
        };
    }

    private static double watts(Ohms ohms, Volts volts) {
        return volts.value() * volts.value() / ohms.value();
    }

    private static Filament lamp(String pin, double watts) {
        return new Filament(pin, watts <= SMALL_UP_TO ? SMALL : LARGE);
    }
}
