package aficion.check;

import static aficion.check.Mistake.none;
import static aficion.check.Mistake.only;
import static org.assertj.core.api.Assertions.assertThat;

import aficion.check.finding.PathFinding.GaugeMoved;
import aficion.check.finding.PathFinding.GaugeUnsteady;
import aficion.job.DesignBuilder;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.LoadKind.Gauge.Movement;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Volts;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Gauges that do not hold still. */
class GaugesTest {
    private static LoadKind.Gauge gauge(Movement movement) {
        return new LoadKind.Gauge(
                new Ohms(60), new Amps(0.16), Optional.ofNullable(movement), Optional.empty());
    }

    /** A gauge behind the key, its sender at an earth of its own, an alternator. */
    private static DesignBuilder fuel(Movement movement, boolean stabilised) {
        var wired =
                DesignBuilder.twelveVolts()
                        .keyed()
                        .alternator("G1", 45)
                        .part("P1", gauge(movement))
                        .mounted(
                                "R1",
                                "E1",
                                new JoinKind.Sender("fuel", new Ohms(240), new Ohms(33)))
                        .wire("G1.B+", "B1.+", "10mm2", 1)
                        .wire("P1.T", "R1.T", "0.5mm2", 3);
        return stabilised
                ? wired.mounted("V1", "E1", new JoinKind.Stabiliser(new Volts(10)))
                        .wire("S1.15", "V1.B", "1mm2", 1)
                        .wire("V1.I", "P1.B", "1mm2", 1)
                : wired.wire("S1.15", "P1.B", "1mm2", 1);
    }

    /** 12.7 V with the engine still, 14.2 V on the road: a thermal gauge reads a tenth more. */
    @Test
    void aThermalGaugeWithoutAStabiliserFollowsTheCharging() {
        for (var movement : new Movement[] {null, Movement.THERMAL}) {
            var found = only(fuel(movement, false), GaugeUnsteady.class);

            assertThat(found.part()).hasToString("P1");
            assertThat(found.moves().value()).isBetween(0.08, 0.16);
            none(fuel(movement, true), GaugeUnsteady.class);
        }
        none(fuel(Movement.MOVING_IRON, false), GaugeUnsteady.class);
        none(fuel(Movement.AIR_CORE, false), GaugeUnsteady.class);
    }

    /**
     * 20 A and 0.15 Ω of a shared lead lift a sender's earth by 3 V; a lead of its own does not.
     */
    @ParameterizedTest
    @CsvSource({"true, 1", "false, 0"})
    void aLoadThatSharesTheEarthOfASenderMovesTheGauge(boolean shares, int findings) {
        var wired =
                DesignBuilder.twelveVolts()
                        .onOff("S1", "gauge", 5)
                        .onOff("S2", "heater", 40)
                        .part("P1", gauge(Movement.AIR_CORE))
                        .part("R1", new JoinKind.Sender("fuel", new Ohms(240), new Ohms(33)))
                        .part("J1", new JoinKind.Splice())
                        .part(
                                "X1",
                                DesignBuilder.twelveVolts()
                                        .load("X1", 20)
                                        .build()
                                        .parts()
                                        .getLast()
                                        .kind())
                        .lamp("H1", 5)
                        .wire("B1.+", "S1.1", "1mm2", 1)
                        .wire("S1.2", "P1.B", "1mm2", 1)
                        .wire("P1.T", "R1.T", "1mm2", 2)
                        .wire("R1.31", "J1.J", "1mm2", 0.2)
                        .wire("J1.J", "E1.E", "0.5mm2", 4)
                        .wire("B1.+", "S2.1", "4mm2", 1)
                        .wire("S2.2", "X1.+", "4mm2", 1)
                        .wire("S2.2", "H1.58", "1mm2", 1)
                        .wire("X1.31", shares ? "J1.J" : "E1.E", "4mm2", 1);
        var found = Mistake.found(wired, GaugeMoved.class);

        assertThat(found).hasSize(findings);
        assertThat(found)
                .allSatisfy(each -> {
                    assertThat(each.part()).hasToString("P1");
                    assertThat(each.by()).hasToString("X1");
                    assertThat(each.scale().value()).isGreaterThan(0.05);
                });
    }
}
