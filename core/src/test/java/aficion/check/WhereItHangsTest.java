package aficion.check;

import static aficion.check.Mistake.found;
import static aficion.check.Mistake.none;
import static aficion.check.Mistake.only;
import static org.assertj.core.api.Assertions.assertThat;

import aficion.check.finding.PathFinding;
import aficion.check.finding.PathFinding.Tale;
import aficion.job.DesignBuilder;
import aficion.job.JoinKind;
import aficion.job.Kind;
import aficion.job.LoadKind;
import aficion.job.PartId;
import aficion.quantity.Amps;
import aficion.quantity.Farads;
import aficion.quantity.Ohms;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What hangs on the wrong terminal and works, only not when or not as it should. */
class WhereItHangsTest {
    private static DesignBuilder keyed() {
        return DesignBuilder.twelveVolts().keyed().dynamo("B1.+");
    }

    /** A lamp of the charge is lit with the key on and the engine still, and then alone. */
    @ParameterizedTest
    @CsvSource({
        "charge lamp, S1.15, N1.D,",
        "Dynamo warning, S1.15, N1.A, CHARGE_LIT",
        "charging lamp, S1.15, E1.E, CHARGE_LIT",
        "charge lamp, B1.+, N1.D, CHARGE_LIT",
        "charge lamp, S1.50, N1.D, CHARGE_DARK",
        "oil lamp, S1.15, E1.E,"
    })
    void aLampThatTellsOfTheCharge(String name, String feed, String back, Tale tale) {
        var wired =
                keyed().named("L1", name, new LoadKind.WarningLamp(new Watts(2), new Volts(13.5)))
                        .load("X2", 2)
                        .wire("S1.15", "X2.+", "1mm2", 1)
                        .wire(feed, "L1.1", "1mm2", 1)
                        .wire("L1.2", back, "1mm2", 1);

        assertThat(found(wired, PathFinding.TellsWrongly.class))
                .extracting(PathFinding.TellsWrongly::tale)
                .isEqualTo(tale == null ? List.of() : List.of(tale));
    }

    /** What is for the road has to work on the road; a starter or a plug may want to be held. */
    @Test
    void lampsThatWorkOnlyWhileTheKeyIsHeld() {
        var held =
                keyed().lamp("H1", 5)
                        .lamp("H2", 5)
                        .load("X1", 5)
                        .wire("S1.50", "H1.58", "1mm2", 1)
                        .wire("S1.50", "H2.58", "1mm2", 1)
                        .wire("S1.50", "X1.+", "1mm2", 1);
        var found = only(held, PathFinding.OnlyWhileHeld.class);

        assertThat(found.position()).isEqualTo("start");
        assertThat(found.parts()).containsExactly(new PartId("H1"), new PartId("H2"));
        none(
                held.wire("S1.15", "H1.58", "1mm2", 1).wire("B1.+", "H2.58", "1mm2", 1),
                PathFinding.OnlyWhileHeld.class);
    }

    static Stream<Arguments> ofTwoLeads() {
        return Stream.of(
                Arguments.of(new JoinKind.Resistor(new Ohms(2)), "1", "2"),
                Arguments.of(new JoinKind.Diode(new Amps(3)), "A", "K"),
                Arguments.of(new JoinKind.Capacitor(new Farads(2e-7)), "+", "31"),
                Arguments.of(new LoadKind.Ammeter(new Amps(30)), "A", "B"));
    }

    @ParameterizedTest
    @MethodSource("ofTwoLeads")
    void bothLeadsOnTheSameMetal(Kind kind, String one, String other) {
        var hung =
                DesignBuilder.twelveVolts()
                        .part("Y1", kind)
                        .part("J1", new JoinKind.Splice())
                        .load("X1", 2)
                        .wire("J1.J", "X1.+", "1mm2", 1)
                        .wire("B1.+", "J1.J", "1mm2", 1)
                        .wire("J1.J", "Y1." + one, "1mm2", 0.2);

        none(hung, PathFinding.OnSameMetal.class);
        only(hung.wire("Y1." + other, "J1.J", "1mm2", 0.2), PathFinding.OnSameMetal.class);
    }
}
