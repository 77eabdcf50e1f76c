package aficion.solve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.job.ControlKind;
import aficion.job.ControlKind.Heat;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.LoadKind;
import aficion.job.PartId;
import aficion.netlist.Conditions;
import aficion.netlist.Conditions.FuseSeat;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.Celsius;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What was before, and what would be drawn were no fuse to open. */
class HistoryTest {
    private static OperatingPoint point(Outcome outcome) {
        assertThat(outcome).isInstanceOf(Outcome.Solved.class);
        return ((Outcome.Solved) outcome).point();
    }

    private static OperatingPoint solved(DesignBuilder design, Conditions conditions) {
        return point(new Solver(Netlist.of(design.build())).solve(conditions));
    }

    private static double amps(OperatingPoint point, String part, String role) {
        return point.through(new PartId(part), role).orElseThrow().value();
    }

    /** A fan switch of 95/85 °C: at 90 °C it is what it was, above and below it is not asked. */
    @Test
    void aThermalSwitchHoldsBetweenItsTwoTemperatures() {
        var design =
                DesignBuilder.twelveVolts()
                        .mounted(
                                "S1",
                                "E1",
                                new ControlKind.LevelSwitch(
                                        "water",
                                        Optional.empty(),
                                        Optional.of(new Heat(new Celsius(95), new Celsius(85))),
                                        false,
                                        new Amps(10)))
                        .part("L1", new LoadKind.WarningLamp(new Watts(2.2), new Volts(12)))
                        .wire("B1.+", "L1.1", "1mm2", 1)
                        .wire("L1.2", "S1.1", "1mm2", 1);
        var cold = water(60);
        var between = water(90);
        var hot = water(100);

        assertThat(lit(design, cold)).isFalse();
        assertThat(lit(design, hot)).isTrue();
        assertThat(lit(design, between.after(cold))).isFalse();
        assertThat(lit(design, between.after(hot))).isTrue();
        assertThat(lit(design, cold.after(hot))).isFalse();
        assertThat(lit(design, between.after(cold.after(hot)))).isFalse();
    }

    private static Conditions water(double celsius) {
        return Conditions.REST.withLevel("water", Heat.level(new Celsius(celsius)));
    }

    private static boolean lit(DesignBuilder design, Conditions conditions) {
        return amps(solved(design, conditions), "L1", "1") > 0.1;
    }

    /** A push pulls a relay in; its own contact holds it once the push is let go. */
    @Test
    void aRelayThatFeedsItselfHoldsWhatAPushBegan() {
        var design =
                DesignBuilder.twelveVolts()
                        .push("S1", "start", 10)
                        .relay("K1")
                        .load("X1", 5)
                        .wire("B1.+", "S1.1", "1mm2", 1)
                        .wire("S1.2", "K1.86", "1mm2", 1)
                        .wire("K1.85", "E1.E", "1mm2", 1)
                        .wire("B1.+", "K1.30", "1mm2", 1)
                        .wire("K1.87", "X1.+", "1mm2", 1)
                        .wire("K1.87", "K1.86", "1mm2", 0.2);
        var pushed = Conditions.REST.with("start", "on");

        assertThat(amps(solved(design, Conditions.REST), "X1", "body")).isCloseTo(0, within(1e-6));
        assertThat(amps(solved(design, pushed), "X1", "body")).isGreaterThan(4);
        assertThat(amps(solved(design, Conditions.REST.after(pushed)), "X1", "body"))
                .isGreaterThan(4);
    }

    /** Told without what was before, an operating point names its own conditions alone. */
    @Test
    void whatIsFollowedStandsForItself() {
        var design = DesignBuilder.twelveVolts().load("X1", 5).wire("B1.+", "X1.+", "1mm2", 1);
        var before = Conditions.REST.with("start", "on");

        var point =
                point(new Solver(Netlist.of(design.build())).follow(Conditions.REST.after(before)));

        assertThat(point.conditions()).isEqualTo(Conditions.REST);
    }

    /** 0.6 Ω behind a 5 A fuse: it opens in life, and asked for its demand draws 12/0.6 = 20 A. */
    @Test
    void aDemandIsDrawnWhateverTheFusesWould() {
        var solver = new Solver(Netlist.of(overloaded()));

        assertThat(amps(point(solver.solve(Conditions.REST)), "X1", "body"))
                .isCloseTo(0, within(1e-6));
        assertThat(amps(point(solver.demand(Conditions.REST)), "X1", "body"))
                .isCloseTo(20, within(1.5));
    }

    /** A fuse that is out is out, in a demand too. */
    @Test
    void aDemandLeavesAPulledFuseOut() {
        var out = Conditions.REST.withPulled(new FuseSeat(new PartId("F1"), ""), true);

        var point = point(new Solver(Netlist.of(overloaded())).demand(out));

        assertThat(amps(point, "X1", "body")).isCloseTo(0, within(1e-6));
    }

    private static Design overloaded() {
        return DesignBuilder.twelveVolts()
                .fuse("F1", 5)
                .load("X1", 20)
                .wire("B1.+", "F1.1", "6mm2", 0.2)
                .wire("F1.2", "X1.+", "6mm2", 0.2)
                .build();
    }
}
