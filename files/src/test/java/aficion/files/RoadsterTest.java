package aficion.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.check.Findings;
import aficion.check.finding.Finding;
import aficion.check.finding.Severity;
import aficion.job.Design;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import aficion.size.Assessment;
import aficion.size.Supply;
import aficion.solve.OperatingPoint;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The demo roadster works as such a vehicle does, but for its four honest mistakes. */
class RoadsterTest {
    private final Design design = DemoJobs.find("roadster").orElseThrow().design();
    private final Solver solver = new Solver(Netlist.of(design));

    private OperatingPoint solved(Conditions conditions) {
        return ((Outcome.Solved) solver.solve(conditions)).point();
    }

    private static double light(OperatingPoint point, String part, String pin) {
        return point.light(new PartId(part), pin).orElseThrow().value();
    }

    @Test
    void itHasFourMistakesAndTheFindingsNameThem() {
        var findings = Findings.of(Assessment.of(design));

        assertThat(findings)
                .extracting(Finding::rule)
                .containsExactly(
                        "GuardLargerThanWire",
                        "GuardLargerThanWire",
                        "LeadWithoutGuard",
                        "WireTooThinByDrop",
                        "TerminalUnconnected",
                        "SourceTooSmall",
                        "NotSelective",
                        "SwitchedInEarth",
                        "DrawsAtRest");
        assertThat(((Finding.GuardLargerThanWire) findings.getFirst()).fuse()).hasToString("F6");
    }

    @Test
    void theFirstRemedyOfEachLeavesNothingToFind() {
        var mended = design;
        for (int i = 0; i < 10; i++) {
            var findings = toMend(mended);
            if (findings.isEmpty()) {
                break;
            }
            mended = findings.getFirst().remedies().getFirst().apply(mended);
        }
        assertThat(toMend(mended)).isEmpty();
    }

    /** What has to be mended, as against what is only advised or noted. */
    private static List<Finding> toMend(Design design) {
        return Findings.of(Assessment.of(design)).stream()
                .filter(finding -> finding.severity().compareTo(Severity.FIX) <= 0)
                .toList();
    }

    @Test
    void atRestNothingIsDrawnButTheClock() {
        assertThat(Supply.of(solved(Conditions.REST)).drawn().value())
                .isCloseTo(14.0 / 12 * 12.7 / 12, within(0.02));
    }

    @Test
    void dippedLampsAreLitAndMainBeamsDark() {
        var dip = solved(Conditions.REST.with("key", "run").with("lights", "head"));

        assertThat(light(dip, "H1", "56b")).isBetween(0.7, 0.9);
        assertThat(light(dip, "H1", "56a")).isLessThan(1e-6);
        assertThat(dip.pulledIn(new PartId("K1"))).isTrue();
        assertThat(dip.pulledIn(new PartId("K2"))).isFalse();
    }

    @Test
    void mainBeamLightsItsWarningLamp() {
        var main =
                solved(
                        Conditions.REST
                                .with("key", "run")
                                .with("lights", "head")
                                .with("dip", "main"));

        assertThat(light(main, "H2", "56a")).isBetween(0.7, 0.9);
        assertThat(light(main, "L2", "1")).isGreaterThan(0.5);
    }

    @Test
    void theChargeLampGoesOutWhenItCharges() {
        var run = Conditions.REST.with("key", "run");
        var still = solved(run);
        var charging = solved(run.withEngine(new Rpm(2500)).withCharge(new Ratio(0.7)));

        assertThat(light(still, "L1", "1")).isGreaterThan(0.3);
        assertThat(light(charging, "L1", "1")).isLessThan(0.01);
        assertThat(Supply.of(charging).generated().value()).isBetween(10.0, 45.0);
        assertThat(Supply.of(charging).battery().value()).isNegative();
    }

    /** Cranking should hold 9.6 V. */
    @Test
    void crankingHoldsTheVoltsOfAGoodBatteryAndTheBypassFeedsTheCoil() {
        var start = solved(Conditions.REST.with("key", "start"));

        assertThat(Supply.of(start).volts().orElseThrow().value()).isBetween(9.6, 11.5);
        assertThat(start.pulledIn(new PartId("M1"))).isTrue();
        double coil = start.voltsAt(new Terminal(new PartId("T1"), "15")).orElseThrow().value();
        assertThat(coil)
                .isGreaterThan(
                        solved(Conditions.REST.with("key", "run"))
                                .voltsAt(new Terminal(new PartId("T1"), "15"))
                                .orElseThrow()
                                .value());
    }

    @Test
    void theHornIsSwitchedInTheEarthSide() {
        var quiet = solved(Conditions.REST);
        var sounding = solved(Conditions.REST.with("horn", "on"));

        assertThat(quiet.voltsAt(new Terminal(new PartId("X1"), "31")).orElseThrow().value())
                .isCloseTo(12.69, within(0.02));
        assertThat(sounding.through(new PartId("X1"), "body").orElseThrow().value())
                .isBetween(4.5, 5.4);
    }

    /** A stabiliser of 10 V, a gauge of 60 Ω and a cold sender of 700 Ω: 10/760 = 13.2 mA. */
    @Test
    void theTemperatureGaugeReadsItsSender() {
        var cold = solved(Conditions.REST.with("key", "run").withLevel("temperature", 0));

        assertThat(cold.through(new PartId("P2"), "body").orElseThrow().value())
                .isCloseTo(10.0 / 760, within(1e-4));
        assertThat(cold.through(new PartId("P1"), "body").orElseThrow().value())
                .isCloseTo(0, within(1e-9));
        var gauge = design.part(new PartId("P2"));
        var reading =
                aficion.size.GaugeReading.of(
                        cold, gauge, (aficion.job.LoadKind.Gauge) gauge.kind());
        assertThat(reading.value()).isCloseTo(0.1316, within(0.001));
    }

    @Test
    void withADeadShortTheFuseOpensAndTheRestGoesOn() {
        var shorted =
                new aficion.job.edit.WireEdit.AddWire(
                                new aficion.job.Wire(
                                        new aficion.job.WireId("short"),
                                        "short",
                                        design.circuits().getFirst().id(),
                                        new aficion.job.End(
                                                new Terminal(new PartId("H1"), "56b"),
                                                aficion.job.Termination.BULLET),
                                        new aficion.job.End(
                                                new Terminal(new PartId("E2"), "E"),
                                                aficion.job.Termination.BULLET),
                                        new aficion.job.Cut(
                                                design.wires().getLast().size(),
                                                design.wires().getLast().insulation(),
                                                design.wires().getFirst().colour()),
                                        new aficion.job.Laid.Stated(
                                                design.wires().getLast().length(),
                                                design.wires().getLast().zone())))
                        .apply(design);

        var point =
                ((Outcome.Solved)
                                new Solver(Netlist.of(shorted))
                                        .solve(
                                                Conditions.REST
                                                        .with("key", "run")
                                                        .with("lights", "head")))
                        .point();

        assertThat(point.blown()).hasToString("[F5]");
        assertThat(List.of(light(point, "H1", "56b"), light(point, "H2", "56b")))
                .allSatisfy(light -> assertThat(light).isLessThan(1e-6));
        assertThat(light(point, "H3", "58")).isGreaterThan(0.5);
    }
}
