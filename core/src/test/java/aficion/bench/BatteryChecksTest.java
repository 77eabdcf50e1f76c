package aficion.bench;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.job.BenchRun;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.LoadKind;
import aficion.job.SourceKind;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import aficion.quantity.Volts;
import aficion.solve.Solver;
import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import org.junit.jupiter.api.Test;

/** What the battery shows at rest, cranking, charging and left standing. */
class BatteryChecksTest {
    private static List<String> lines(Design design, BiConsumer<BatteryChecks, StepList> adds) {
        var list = new StepList(design, new CircuitId("1"));
        adds.accept(new BatteryChecks(new Solver(Netlist.of(design))), list);
        return SmallCar.lines(
                new BenchPlan(
                        new CircuitId("1"),
                        BenchRun.Setting.STILL,
                        list.steps(),
                        Optional.empty(),
                        Optional.empty()));
    }

    private static List<String> standing(DesignBuilder builder) {
        return lines(
                builder.build(), (checks, list) -> checks.standing(list, TestStep.Stage.BATTERY));
    }

    /** Up to 50 mA is nothing; a clock of 0.2 A is what it is, within 20 mA. */
    @Test
    void whatIsDrawnAtAStand() {
        assertThat(standing(DesignBuilder.twelveVolts()))
                .containsExactly("standing BATTERY: at most 0.05");
        assertThat(
                        standing(
                                DesignBuilder.twelveVolts()
                                        .load("X1", 0.2)
                                        .wire("B1.+", "X1.+", "1mm2", 1)))
                .containsExactly("standing BATTERY: 0.21 +- 0.02");
    }

    /** It is drawn in the lead of the earthed pole; without one nothing is read. */
    @Test
    void itIsReadInTheEarthLead() {
        var design = DesignBuilder.twelveVolts().build();
        var list = new StepList(design, new CircuitId("1"));
        new BatteryChecks(new Solver(Netlist.of(design))).standing(list, TestStep.Stage.AFTER);

        assertThat(list.steps().getFirst().task())
                .isEqualTo(new TestStep.Quiet(design.wires().getFirst().id(), Conditions.REST));
        assertThat(standing(new DesignBuilder(12).battery(0.006).wire("B1.+", "E1.E", "1mm2", 1)))
                .isEmpty();
    }

    /** Below the body where the positive pole is earthed. */
    @Test
    void whereThePositivePoleIsEarthed() {
        var design =
                new DesignBuilder(12)
                        .positiveEarth()
                        .battery(0.006)
                        .wire("B1.+", "E1.E", "25mm2", 0.3)
                        .build();

        assertThat(lines(design, BatteryChecks::rest))
                .containsExactly("volts B1.-: -12.70 to -12.50");
    }

    /** Of two in series the post behind both, at twice the volts; at 6 V half of all. */
    @Test
    void twoBatteriesAndSixVolts() {
        var half = new SourceKind.Battery(new Volts(12), new Ohms(0.006));
        var two =
                new DesignBuilder(24)
                        .earth("E1")
                        .part("B1", half)
                        .part("B2", half)
                        .wire("B1.-", "E1.E", "25mm2", 0.3)
                        .wire("B1.+", "B2.-", "25mm2", 0.3)
                        .build();
        var six = new DesignBuilder(6).battery(0.006).wire("B1.-", "E1.E", "25mm2", 0.3).build();

        assertThat(lines(two, BatteryChecks::rest)).containsExactly("volts B2.+: 25.00 to 25.40");
        assertThat(lines(six, BatteryChecks::rest)).containsExactly("volts B1.+: 6.25 to 6.35");
    }

    private static DesignBuilder source(SourceKind kind, String pin) {
        return DesignBuilder.twelveVolts()
                .mounted("G1", "E1", kind)
                .wire("G1." + pin, "B1.+", "10mm2", 1);
    }

    private static SourceKind.Alternator alternator(double volts) {
        return new SourceKind.Alternator(
                new Volts(volts),
                new Amps(45),
                new Ohms(4),
                new Ratio(2.5),
                Optional.of(SourceKind.Alternator.Style.ONE_WIRE));
    }

    /** What a regulator is set to outside the usual is expected as the design has it. */
    @Test
    void whatIsNotUsualIsExpectedAsItIs() {
        var usual = source(alternator(14.2), "B+").build();
        var high = source(alternator(15.2), "B+").build();

        assertThat(lines(usual, BatteryChecks::charging))
                .containsExactly(
                        "volts B1.+ rpm=800.0: 13.80 to 14.60",
                        "volts B1.+ rpm=2000.0: 13.80 to 14.60");
        assertThat(lines(high, BatteryChecks::charging))
                .containsExactly(
                        "volts B1.+ rpm=800.0: 15.14 +- 0.40",
                        "volts B1.+ rpm=2000.0: 15.14 +- 0.40");
    }

    /**
     * One that is too small to charge with all on is read where it gives most; none where none is.
     */
    @Test
    void aWeakSourceAndNone() {
        var weak =
                source(alternator(14.2), "B+")
                        .load("X1", 60)
                        .wire("B1.+", "X1.+", "16mm2", 1)
                        .build();
        var none = DesignBuilder.twelveVolts().build();

        assertThat(lines(weak, BatteryChecks::charging))
                .hasSize(2)
                .allMatch(line -> line.startsWith("volts B1.+ rpm="));
        assertThat(new BatteryChecks(new Solver(Netlist.of(weak))).running().orElseThrow().engine())
                .isEqualTo(new Rpm(3000));
        assertThat(new BatteryChecks(new Solver(Netlist.of(none))).running()).isEmpty();
        assertThat(lines(none, BatteryChecks::charging)).isEmpty();
        assertThat(lines(none, BatteryChecks::cranking)).isEmpty();
    }

    /** The engine is cranked with the key held, and nothing else on. */
    @Test
    void crankingIsReadAtTheBattery() {
        assertThat(lines(SmallCar.DESIGN, BatteryChecks::cranking))
                .containsExactly("volts B1.+ key=start: 9.60 to 12.70");
        var dead =
                DesignBuilder.twelveVolts()
                        .mounted("M1", "E1", new LoadKind.Starter(new Ohms(0.05), new Ohms(1.2)))
                        .build();
        assertThat(lines(dead, BatteryChecks::cranking)).isEmpty();
    }
}
