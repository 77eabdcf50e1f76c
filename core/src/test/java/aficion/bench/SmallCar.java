package aficion.bench;

import aficion.bench.TestStep.Works;
import aficion.bench.reason.FaultTable;
import aficion.bench.reason.Sign;
import aficion.job.BenchRun.Setting;
import aficion.job.CircuitId;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.LoadKind;
import aficion.job.SourceKind;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * A car of one circuit: battery, starter, alternator that its lamp wakes, key, a lamp and a flasher
 * with a lamp behind the key, a horn behind its push, and a stop lamp behind its pedal.
 */
public final class SmallCar {
    public static final Volts TWELVE = new Volts(12);

    public static final Design DESIGN = builder().build();

    public static final CircuitId CIRCUIT = DESIGN.circuits().getFirst().id();

    private SmallCar() {}

    static DesignBuilder builder() {
        return DesignBuilder.twelveVolts()
                .part("S1", DesignBuilder.offRunStart())
                .mounted("M1", "E1", new LoadKind.Starter(new Ohms(0.05), new Ohms(1.2)))
                .mounted(
                        "G1",
                        "E1",
                        new SourceKind.Alternator(
                                new Volts(14.2),
                                new Amps(45),
                                new Ohms(4),
                                new Ratio(2.5),
                                Optional.of(SourceKind.Alternator.Style.LAMP)))
                .part("H1", new LoadKind.WarningLamp(new Watts(3), new Volts(13.5)))
                .fuse("F1", 20)
                .onOff("S2", "light", 10)
                .lamp("H2", 55)
                .onOff("S3", "turn", 10)
                .part("K1", flasher())
                .lamp("H3", 21)
                .push("S4", "horn", 10)
                .load("X1", 5)
                .part("S5", DesignBuilder.pedal())
                .lamp("H4", 21)
                .wire("B1.+", "M1.30", "25mm2", 1)
                .wire("M1.30", "S1.30", "4mm2", 1)
                .wire("S1.50", "M1.50", "2.5mm2", 1)
                .wire("G1.B+", "M1.30", "10mm2", 0.5)
                .wire("S1.15", "H1.1", "1mm2", 0.5)
                .wire("H1.2", "G1.D+", "1mm2", 1)
                .wire("S1.15", "F1.1", "2.5mm2", 0.5)
                .wire("F1.2", "S2.1", "2.5mm2", 0.5)
                .wire("S2.2", "H2.58", "1.5mm2", 2)
                .wire("F1.2", "K1.49", "1mm2", 0.5)
                .wire("K1.49a", "S3.1", "1mm2", 0.5)
                .wire("S3.2", "H3.58", "1mm2", 2)
                .fuse("F2", 10)
                .wire("M1.30", "F2.1", "2.5mm2", 0.2)
                .wire("F2.2", "S4.1", "1mm2", 1)
                .wire("S4.2", "X1.+", "1mm2", 1)
                .wire("F2.2", "S5.1", "1mm2", 1)
                .wire("S5.2", "H4.58", "1mm2", 2);
    }

    static ControlKind.Flasher flasher() {
        return new ControlKind.Flasher(ControlKind.Flasher.Form.THERMAL, new Watts(21), TWELVE, 90);
    }

    static BenchPlan plan(Setting setting) {
        return plan(setting, DESIGN);
    }

    static BenchPlan plan(Setting setting, Design design) {
        var there = BenchPlan.tested(setting, design, CIRCUIT);
        return BenchPlan.of(setting, FaultTable.of(Netlist.of(there), CIRCUIT), CIRCUIT);
    }

    /**
     * A run, a line a step: its key with what is not off, then what is expected, or seen to work.
     */
    static List<String> lines(BenchPlan plan) {
        return plan.steps().stream().map(SmallCar::line).toList();
    }

    private static String line(TestStep step) {
        var expected = step.expected().map(SmallCar::expected);
        return step.key().replaceAll("\\w+=off,?", "").replaceAll("[, ]+$", "")
                + expected.map(text -> ": " + text).orElse(seen(step));
    }

    private static String seen(TestStep step) {
        return step.task() instanceof Works(var signs, _)
                ? signs.stream()
                        .filter(Sign::isAwake)
                        .map(sign -> sign.part() + " " + sign.look())
                        .collect(Collectors.joining(", ", ": ", ""))
                : "";
    }

    static String expected(Expected expected) {
        return switch (expected) {
            case Expected.Near(var value, var tolerance) ->
                    rounded(value.value()) + " +- " + rounded(tolerance);
            case Expected.AtMost(var most) -> "at most " + rounded(most.value());
            case Expected.AtLeast(var least) -> "at least " + rounded(least.value());
            case Expected.Between(var least, var most) ->
                    rounded(least.value()) + " to " + rounded(most.value());
            case Expected.Opens(var guard, var demand) ->
                    guard.map(seat -> seat + " opens at ").orElse("metal takes ")
                            + rounded(demand.value());
        };
    }

    static String rounded(double value) {
        return value >= 1e5 ? "1e6" : String.format(Locale.ROOT, "%.2f", value);
    }
}
