package aficion.check;

import static aficion.check.Mistake.comesWithALongLead;
import static aficion.check.Mistake.mends;
import static aficion.check.Mistake.none;
import static aficion.check.Mistake.only;
import static org.assertj.core.api.Assertions.assertThat;

import aficion.check.finding.PathFinding.PositionIdle;
import aficion.job.Contact;
import aficion.job.ControlKind;
import aficion.job.Demand;
import aficion.job.DesignBuilder;
import aficion.job.Kind;
import aficion.job.LoadKind;
import aficion.job.Position;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Volts;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Positions of a switch that do nothing. */
class IdlePositionTest {
    private static final ControlKind.Switch LIGHTS =
            DesignBuilder.selector(
                    "lights",
                    15,
                    DesignBuilder.joins("side", "30", "58"),
                    new Position(
                            "head",
                            false,
                            List.of(new Contact("30", "58"), new Contact("30", "56"))));

    private static DesignBuilder lit(String fed, String side, String head) {
        return DesignBuilder.twelveVolts()
                .part("S1", LIGHTS)
                .lamp("H1", 5)
                .lamp("H2", 55)
                .wire("B1.+", "S1." + fed, "2.5mm2", 1)
                .wire("S1." + side, "H1.58", "1mm2", 1)
                .wire("S1." + head, "H2.58", "2.5mm2", 1);
    }

    @Test
    void aSwitchFedAtAnOutputHasAPositionThatDoesNothing() {
        var wrong = lit("56", "58", "30");
        var found = only(wrong, PositionIdle.class);

        assertThat(found.position()).isEqualTo("side");
        mends(wrong, found);
        none(lit("30", "58", "56"), PositionIdle.class);
    }

    /** A relay that no longer pulls in leaves the switch behind its contact nothing to do. */
    @Test
    void aSwitchBehindARelayThatGetsTooLittle() {
        comesWithALongLead(
                DesignBuilder.twelveVolts()
                        .relay("K1", 2)
                        .fuse("F1", 10)
                        .onOff("S1", "warm", 10)
                        .onOff("S2", "other", 10)
                        .lamp("H1", 21)
                        .wire("B1.+", "K1.30", "1mm2", 1)
                        .wire("K1.87", "F1.1", "1mm2", 1)
                        .wire("F1.2", "S1.1", "1mm2", 1)
                        .wire("S1.2", "H1.58", "1mm2", 1)
                        .wire("B1.+", "S2.1", "1mm2", 1)
                        .wire("S2.2", "H1.58", "1mm2", 1)
                        .wire("K1.85", "E1.E", "1mm2", 1)
                        .wire("B1.+", "K1.86", "1mm2", 1),
                "K1.86",
                PositionIdle.class);
    }

    /** What leads nowhere yet, and what never works for another reason, is not named. */
    @Test
    void whatIsNotYetThereIsNoMistake() {
        var none =
                DesignBuilder.twelveVolts()
                        .onOff("S1", "isolator", 100)
                        .wire("B1.+", "S1.1", "25mm2", 1)
                        .wire("S1.2", "F1.1", "25mm2", 1)
                        .fuse("F1", 20);
        var open =
                DesignBuilder.twelveVolts()
                        .onOff("S1", "light", 10)
                        .part(
                                "X1",
                                new LoadKind.Load(new Demand.InAmps(new Amps(2)), new Volts(12)))
                        .wire("B1.+", "S1.1", "1mm2", 1)
                        .wire("S1.2", "X1.+", "1mm2", 1);

        none(none, PositionIdle.class);
        none(open, PositionIdle.class);
    }

    /** Currents that are not followed flow nowhere. */
    @ParameterizedTest
    @ValueSource(strings = {"in", "kill"})
    void whatStopsAMagnetoOrTellsAModule(String pin) {
        boolean module = pin.equals("in");
        Kind kind =
                module
                        ? new ControlKind.Module(
                                new Volts(12), new Amps(0.02), List.of("in"), List.of())
                        : new LoadKind.Magneto(new Ohms(1));
        var design =
                DesignBuilder.twelveVolts()
                        .onOff("S1", "switch", 10)
                        .onOff("S2", "beside", 10)
                        .mounted("X1", "E1", kind)
                        .wire("X1." + pin, "S1.1", "1mm2", 1)
                        .wire("S1.2", "E1.E", "1mm2", 1)
                        .wire("X1." + pin, "S2.1", "1mm2", 1)
                        .wire("S2.2", "E1.E", "1mm2", 1);

        none(module ? design.wire("B1.+", "X1.15", "1mm2", 1) : design, PositionIdle.class);
    }
}
