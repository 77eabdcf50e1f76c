package aficion.check;

import static aficion.check.Mistake.found;
import static aficion.check.Mistake.none;
import static org.assertj.core.api.Assertions.assertThat;

import aficion.check.finding.SourceFinding.IsolatorDoesNotStop;
import aficion.check.finding.SourceFinding.LoadDump;
import aficion.job.Action;
import aficion.job.Contact;
import aficion.job.ControlKind;
import aficion.job.DesignBuilder;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.Position;
import aficion.job.SourceKind;
import aficion.quantity.Amps;
import aficion.quantity.Henries;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Volts;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What parts a source that charges from its battery, and what goes on behind it. */
class PartingTest {
    /** A bus bar J1, an ignition on it by a key, and points. */
    private static DesignBuilder engine(DesignBuilder design) {
        return design.part("J1", new JoinKind.Splice())
                .part("S1", DesignBuilder.offRunStart())
                .part("T1", new LoadKind.IgnitionCoil(new Ohms(3.2), new Henries(0.007)))
                .mounted("P1", "E1", new ControlKind.Points(4, new Ratio(0.5)))
                .wire("J1.J", "S1.30", "2.5mm2", 0.5)
                .wire("S1.15", "T1.15", "1.5mm2", 0.5)
                .wire("T1.1", "P1.1", "1.5mm2", 0.5);
    }

    private static DesignBuilder isolated(String output) {
        return engine(DesignBuilder.twelveVolts())
                .onOff("S9", "isolator", 100)
                .alternator("G1", 45)
                .wire("B1.+", "S9.1", "16mm2", 0.5)
                .wire("S9.2", "J1.J", "16mm2", 0.5)
                .wire("G1.B+", output, "10mm2", 1);
    }

    private static void dumps(DesignBuilder wired, String source, String by) {
        assertThat(found(wired, LoadDump.class))
                .singleElement()
                .satisfies(dump -> {
                    assertThat(dump.part()).hasToString(source);
                    assertThat(dump.by()).hasToString(by);
                });
    }

    /** Behind the isolator the alternator feeds the ignition on; before it, it does not. */
    @Test
    void anIsolatorBehindWhichTheSourceGoesOn() {
        var wrong = isolated("J1.J");

        dumps(wrong, "G1", "S9");
        assertThat(found(wrong, IsolatorDoesNotStop.class))
                .singleElement()
                .satisfies(each -> {
                    assertThat(each.part()).hasToString("S9");
                    assertThat(each.ignition()).hasToString("T1");
                    assertThat(each.when().positions()).containsEntry("isolator", "off");
                });
        none(isolated("B1.+"), LoadDump.class);
        none(isolated("B1.+"), IsolatorDoesNotStop.class);
    }

    /** However many sources there are and positions they run in, each is named once. */
    @Test
    void eachSourceIsNamedOnceAndTheIsolatorOnce() {
        var run = List.of(new Contact("30", "15"));
        var key =
                new ControlKind.Switch(
                        Action.KEY,
                        "lock",
                        List.of("30", "15"),
                        List.of(
                                new Position("off", false, List.of()),
                                new Position("one", false, run),
                                new Position("two", false, run)),
                        new Amps(30));
        var wired =
                isolated("J1.J")
                        .part("S8", key)
                        .load("X1", 2)
                        .wire("J1.J", "S8.30", "2.5mm2", 1)
                        .wire("S8.15", "X1.+", "2.5mm2", 1)
                        .alternator("G2", 30)
                        .wire("G2.B+", "J1.J", "10mm2", 1);

        assertThat(found(wired, LoadDump.class))
                .extracting(dump -> dump.part() + " by " + dump.by())
                .containsExactlyInAnyOrder("G1 by S9", "G2 by S9");
        assertThat(found(wired, IsolatorDoesNotStop.class)).hasSize(1);
    }

    private static DesignBuilder vehicle(boolean positive) {
        var design = new DesignBuilder(12);
        return engine((positive ? design.positiveEarth() : design).battery(0.006))
                .onOff("S9", "isolator", 100);
    }

    /** The same in the earth lead of the battery, and with the positive pole at earth. */
    @ParameterizedTest
    @CsvSource({"true, false", "false, false", "true, true", "false, true"})
    void anIsolatorInTheEarthLead(boolean positive, boolean beside) {
        String live = positive ? "B1.-" : "B1.+";
        String earthed = positive ? "B1.+" : "B1.-";
        var wired =
                vehicle(positive)
                        .wire(earthed, "S9.1", "25mm2", 0.3)
                        .wire("S9.2", "E1.E", "25mm2", 0.3)
                        .wire(live, "J1.J", "16mm2", 0.5)
                        .alternator("G1", 45)
                        .wire("G1.B+", "J1.J", "10mm2", 1);
        if (beside) {
            wired = wired.wire(earthed, "E1.E", "25mm2", 0.3);
            none(wired, LoadDump.class);
        } else {
            dumps(wired, "G1", "S9");
            assertThat(found(wired, IsolatorDoesNotStop.class)).hasSize(1);
        }
    }

    /** Between two batteries in series it parts them from the source as well. */
    @Test
    void anIsolatorBetweenTwoBatteries() {
        var half = new SourceKind.Battery(new Volts(6), new Ohms(0.004));
        var wired =
                engine(new DesignBuilder(12).earth("E1"))
                        .part("B1", half)
                        .part("B2", half)
                        .onOff("S9", "isolator", 100)
                        .wire("B1.+", "J1.J", "16mm2", 0.5)
                        .wire("B1.-", "S9.1", "25mm2", 0.3)
                        .wire("S9.2", "B2.+", "25mm2", 0.3)
                        .wire("B2.-", "E1.E", "25mm2", 0.3)
                        .alternator("G1", 45)
                        .wire("G1.B+", "J1.J", "10mm2", 1);

        dumps(wired, "G1", "S9");
        none(wired.wire("B1.-", "B2.+", "25mm2", 0.3), LoadDump.class);
    }

    /** A regulator goes on by its magnets; with the positive pole at earth B- is its live one. */
    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void aRegulatorBehindAnIsolator(boolean positive) {
        String live = positive ? "-" : "+";
        String earthed = positive ? "+" : "-";
        var wired =
                vehicle(positive)
                        .flywheel("G1", "G2")
                        .wire("B1." + earthed, "E1.E", "25mm2", 0.3)
                        .wire("B1." + live, "S9.1", "16mm2", 0.5)
                        .wire("S9.2", "J1.J", "16mm2", 0.5)
                        .wire("N1.B" + live, "J1.J", "4mm2", 1)
                        .wire("N1.B" + earthed, "E1.E", "4mm2", 1);

        dumps(wired, "N1", "S9");
    }

    /** A relay that the key lets go parts them with the engine still turning. */
    @Test
    void aRelayInTheOutputLead() {
        var wired =
                engine(DesignBuilder.twelveVolts())
                        .relay("K1")
                        .alternator("G1", 30)
                        .wire("B1.+", "J1.J", "16mm2", 0.5)
                        .wire("G1.B+", "K1.30", "6mm2", 1)
                        .wire("K1.87", "J1.J", "6mm2", 1)
                        .wire("S1.15", "K1.86", "1mm2", 1)
                        .wire("K1.85", "E1.E", "1mm2", 1);

        dumps(wired, "G1", "K1");
        none(wired, IsolatorDoesNotStop.class);
        none(wired.wire("G1.B+", "B1.+", "10mm2", 1), LoadDump.class);
    }

    /** A dynamo behind the isolator: its box cuts out from the battery, not from the ignition. */
    @Test
    void aDynamoBehindTheIsolator() {
        var wired =
                engine(DesignBuilder.twelveVolts())
                        .onOff("S9", "isolator", 100)
                        .dynamo("J1.J")
                        .wire("B1.+", "S9.1", "16mm2", 0.5)
                        .wire("S9.2", "J1.J", "16mm2", 0.5);

        assertThat(found(wired, IsolatorDoesNotStop.class)).hasSize(1);
    }
}
