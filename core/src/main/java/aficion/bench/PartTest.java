package aficion.bench;

import aficion.job.Contact;
import aficion.job.ControlKind;
import aficion.job.Demand;
import aficion.job.Design;
import aficion.job.Figures;
import aficion.job.GuardKind;
import aficion.job.JoinKind;
import aficion.job.Kind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.Position;
import aficion.job.SourceKind;
import aficion.job.edit.PartEdit;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Quantity;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Something a new part shows before it is fitted, on a supply or by an ohmmeter.
 *
 * @param key its name in the records of the part
 * @param topic what is done
 * @param detail the pin, or the position, that it is about; empty where there is one of it
 * @param expected what the meter should show; empty for what is only seen
 * @param figure which figure of the part a reading says; empty for none
 */
public record PartTest(
        String key,
        Topic topic,
        String detail,
        Optional<Expected> expected,
        Optional<Says> figure) {
    /** A filament's current grows with its volts to that power (trade rule). */
    private static final double FILAMENT = 0.55;

    /** How far off a current and a resistance of a sound part may be (typical). */
    private static final double OFF = 0.15;

    /** The same of a motor, whose load differs (typical). */
    private static final double MOTOR_OFF = 0.3;

    /** What is done. */
    public enum Topic {
        /** Plus to its plus pin: it turns as it is to. */
        DIRECTION,
        /** What it draws once it runs. */
        RUNNING,
        /** What it draws as it starts. */
        STARTING,
        /** What it draws. */
        AMPS,
        /** The resistance of a coil or winding. */
        WINDING,
        /** It clicks when its coil is fed. */
        CLICK,
        /** Its resistance at the low end. */
        LOW,
        /** Its resistance at the high end. */
        HIGH,
        /** What is joined in a position. */
        POSITION,
        /** It flashes with its lamps behind it. */
        FLASH
    }

    /**
     * Which figure of a kind a reading says.
     *
     * @param path where it stands in the kind
     * @param scale what the reading is multiplied by
     */
    public record Says(String path, double scale) {}

    /** What is tried of a part; none for what has nothing to try. */
    public static List<PartTest> of(Design design, Part part) {
        double supply = SupplySetting.charged(design).value();
        return switch (part.kind()) {
            case LoadKind.Motor motor -> motor(motor);
            case LoadKind.TwoSpeedMotor motor ->
                    List.of(
                            seen(Topic.DIRECTION, ""),
                            amps("53", motor.low(), MOTOR_OFF, "low", 1),
                            amps("53b", motor.high(), MOTOR_OFF, "high", 1));
            case LoadKind.WiperMotor motor ->
                    List.of(amps("53", motor.running(), MOTOR_OFF, "running", 1));
            case LoadKind.Lamp lamp -> filaments(lamp, supply);
            case LoadKind.Load load -> List.of(load(load, supply));
            case LoadKind.LedLamp _ -> List.of(seen(Topic.DIRECTION, "+"));
            case LoadKind.IgnitionCoil coil -> List.of(winding("", coil.primary(), "primary"));
            case LoadKind.Gauge gauge -> List.of(winding("", gauge.winding(), "winding"));
            case LoadKind.Heater heater -> List.of(winding("", heater.cold(), "cold"));
            case LoadKind.Magneto magneto -> List.of(winding("", magneto.primary(), "primary"));
            case ControlKind.Relay relay ->
                    List.of(winding("", relay.coil(), "coil"), seen(Topic.CLICK, ""));
            case ControlKind.Switch hand ->
                    hand.positions().stream()
                            .map(Position::name)
                            .map(position -> seen(Topic.POSITION, position))
                            .toList();
            case ControlKind.LevelSwitch _ ->
                    List.of(seen(Topic.POSITION, "low"), seen(Topic.POSITION, "high"));
            case ControlKind.Flasher _ -> List.of(seen(Topic.FLASH, ""));
            case JoinKind.Sender sender ->
                    List.of(
                            end(Topic.LOW, sender.least(), "least"),
                            end(Topic.HIGH, sender.most(), "most"));
            case LoadKind.WarningLamp _,
                    LoadKind.Starter _,
                    LoadKind.Ammeter _,
                    LoadKind.Voltmeter _,
                    LoadKind.Buzzer _,
                    ControlKind _,
                    SourceKind _,
                    GuardKind _,
                    JoinKind _ ->
                    List.of();
        };
    }

    private static List<PartTest> motor(LoadKind.Motor motor) {
        var tests = new ArrayList<PartTest>();
        if (motor.hasMagnet()) {
            tests.add(seen(Topic.DIRECTION, "+"));
        }
        tests.add(
                new PartTest(
                        "running",
                        Topic.RUNNING,
                        "",
                        Optional.of(near(motor.running(), MOTOR_OFF)),
                        Optional.of(new Says("running", 1))));
        tests.add(
                new PartTest(
                        "starting",
                        Topic.STARTING,
                        "",
                        Optional.of(
                                new Expected.AtMost(
                                        new Amps(
                                                motor.rated().value()
                                                        / motor.windings().value()
                                                        * (1 + OFF)))),
                        Optional.empty()));
        return tests;
    }

    /** I = P/V·(U/V)^0.55. */
    private static List<PartTest> filaments(LoadKind.Lamp lamp, double supply) {
        double rated = lamp.test().value();
        double more = Math.pow(supply / rated, FILAMENT);
        var tests = new ArrayList<PartTest>();
        for (int i = 0; i < lamp.filaments().size(); i++) {
            var each = lamp.filaments().get(i);
            tests.add(
                    amps(
                            each.pin(),
                            new Amps(each.watts().value() / rated * more),
                            OFF,
                            "filaments." + i + ".watts",
                            rated / more));
        }
        return tests;
    }

    private static PartTest load(LoadKind.Load load, double supply) {
        var amps = new Amps(supply / load.resistance().value());
        double rated = load.rated().value();
        return switch (load.demand()) {
            case Demand.InAmps _ -> amps("+", amps, OFF, "demand.amps", rated / supply);
            case Demand.InWatts _ -> amps("+", amps, OFF, "demand.watts", rated * rated / supply);
        };
    }

    private static PartTest amps(String pin, Amps amps, double off, String path, double scale) {
        return new PartTest(
                "amps " + pin,
                Topic.AMPS,
                pin,
                Optional.of(near(amps, off)),
                Optional.of(new Says(path, scale)));
    }

    private static PartTest winding(String detail, Ohms ohms, String path) {
        return new PartTest(
                "winding",
                Topic.WINDING,
                detail,
                Optional.of(near(ohms, OFF)),
                Optional.of(new Says(path, 1)));
    }

    private static PartTest end(Topic topic, Ohms ohms, String path) {
        return new PartTest(
                path, topic, "", Optional.of(near(ohms, OFF)), Optional.of(new Says(path, 1)));
    }

    private static PartTest seen(Topic topic, String detail) {
        var key = topic.name().toLowerCase(Locale.ROOT);
        return new PartTest(
                detail.isEmpty() ? key : key + " " + detail,
                topic,
                detail,
                Optional.empty(),
                Optional.empty());
    }

    private static Expected near(Quantity value, double off) {
        return new Expected.Near(value, off * value.value());
    }

    /** The pins that are joined in the position it is about. */
    public List<String> joined(Kind kind) {
        return kind instanceof ControlKind.Switch hand
                ? hand.positions().stream()
                        .filter(position -> position.name().equals(detail))
                        .flatMap(position -> position.joins().stream())
                        .map(Contact::toString)
                        .toList()
                : List.of();
    }

    /**
     * The edit that has the job say what the part really is; empty where a reading says no figure,
     * or one that the part cannot have.
     */
    public Optional<PartEdit> taking(Part part, double reading) {
        try {
            return figure.map(says ->
                    new PartEdit.Refit(
                            part.id(), Figures.with(part.kind(), says.path, says.scale * reading)));
        } catch (IllegalArgumentException refused) {
            return Optional.empty();
        }
    }

    /** The edit that has the job say that a motor turns the other way; empty for other parts. */
    public Optional<PartEdit> turning(Part part) {
        return topic == Topic.DIRECTION && part.kind() instanceof LoadKind.Motor motor
                ? Optional.of(new PartEdit.Refit(part.id(), motor.turnedRound()))
                : Optional.empty();
    }
}
