package aficion.check;

import static aficion.check.Mistake.found;
import static aficion.check.Mistake.none;
import static aficion.check.Mistake.only;
import static org.assertj.core.api.Assertions.assertThat;

import aficion.catalogue.Zone;
import aficion.check.finding.Finding;
import aficion.job.DesignBuilder;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.PartId;
import aficion.job.edit.PartEdit;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What has no wire where it needs one, and what a wire leads to that leads nowhere. */
class ConnectionsTest {
    private static final Volts TWELVE = new Volts(12);

    private static DesignBuilder with() {
        return DesignBuilder.twelveVolts();
    }

    private static DesignBuilder warning() {
        return with().part("L1", new LoadKind.WarningLamp(new Watts(2.2), new Volts(13.5)))
                .wire("B1.+", "L1.1", "0.75mm2", 1);
    }

    private static List<String> nowhere(DesignBuilder builder) {
        return found(builder, Finding.NoWayBack.class).stream()
                .map(found -> found.end().toString())
                .toList();
    }

    private static List<String> loose(DesignBuilder builder) {
        return found(builder, Finding.TerminalUnconnected.class).stream()
                .map(found -> found.terminal().toString())
                .toList();
    }

    /** Through itself there is no way back; through another load, or a case, there is. */
    @Test
    void aWayBackIsNotThroughThePartItself() {
        assertThat(nowhere(island())).containsExactly("L1.2");
        assertThat(nowhere(island().wire("J1.J", "E1.E", "0.75mm2", 1))).isEmpty();
        assertThat(nowhere(island().load("X1", 1).wire("J1.J", "X1.+", "0.75mm2", 1))).isEmpty();
        assertThat(
                        nowhere(
                                island().part("R1", new JoinKind.Resistor(new Ohms(10)))
                                        .wire("J1.J", "R1.1", "0.75mm2", 1)
                                        .wire("R1.2", "E1.E", "0.75mm2", 1)))
                .isEmpty();
    }

    private static DesignBuilder island() {
        return warning().part("J1", new JoinKind.Splice()).wire("L1.2", "J1.J", "0.75mm2", 1);
    }

    /** What hangs loose elsewhere hides nothing; what hangs loose behind it is told of itself. */
    @Test
    void aLooseEndIsToldOnce() {
        assertThat(nowhere(island().load("X9", 1))).containsExactly("L1.2");
        var open =
                warning()
                        .part("R1", new JoinKind.Resistor(new Ohms(10)))
                        .wire("L1.2", "R1.1", "0.75mm2", 1);
        assertThat(nowhere(open)).isEmpty();
        assertThat(loose(open)).containsExactly("R1.2");
    }

    /** An alternator that the battery never sees is no pole. */
    @Test
    void aSourceThatIsNoBatteryIsNoWay() {
        var lone =
                with().alternator("G1", 45)
                        .part("L1", new LoadKind.WarningLamp(new Watts(2.2), new Volts(13.5)))
                        .wire("G1.B+", "L1.1", "0.75mm2", 1)
                        .wire("L1.2", "E1.E", "0.75mm2", 1);

        assertThat(nowhere(lone)).containsExactly("L1.1");
    }

    private static DesignBuilder wiper() {
        return with().mounted(
                        "M1",
                        "E1",
                        new LoadKind.WiperMotor("blades", new Amps(3), TWELVE, Optional.empty()))
                .wire("B1.+", "M1.53", "1.5mm2", 1);
    }

    /** Blades that nobody parks may stay open; one that a wire leads to may not lead nowhere. */
    @Test
    void aSparePinNeedsNoWay() {
        assertThat(nowhere(wiper())).isEmpty();
        assertThat(
                        nowhere(
                                wiper().part("J1", new JoinKind.Splice())
                                        .wire("M1.31b", "J1.J", "1.5mm2", 1)))
                .containsExactly("M1.31b");
    }

    /** A switch of which one pin is used switches nothing; of which two are, the third is spare. */
    @Test
    void aSwitchThatIsNotAPair() {
        var three =
                DesignBuilder.selector(
                        "three",
                        5,
                        DesignBuilder.joins("on", "1", "2"),
                        DesignBuilder.joins("more", "1", "3"));
        var one = with().part("S1", three).wire("B1.+", "S1.1", "1mm2", 1);

        assertThat(loose(one)).containsExactly("S1.2", "S1.3");
        assertThat(loose(one.load("X1", 1).wire("S1.3", "X1.+", "1mm2", 1))).isEmpty();
    }

    /** An earth that cases are bolted to needs no wire; a case goes to the earth where it is. */
    @Test
    void earthsAndCases() {
        assertThat(loose(with().earth("E2"))).containsExactly("B1.+", "E2.E");
        assertThat(loose(with().earth("E2").mounted("X1", "E2", buzzer())))
                .containsExactly("B1.+", "X1.+");
        none(
                with().earth("E2").mounted("X1", "E2", buzzer()).wire("B1.+", "X1.+", "1mm2", 1),
                Finding.TerminalUnconnected.class);

        var sender = new JoinKind.Sender("fuel", new Ohms(240), new Ohms(33));
        var boot =
                with().zone(Zone.BOOT)
                        .part("R1", sender)
                        .earth("E3")
                        .wire("E3.E", "E1.E", "10mm2", 1)
                        .wire("B1.+", "R1.T", "1mm2", 1);
        assertThat(only(boot, Finding.TerminalUnconnected.class).remedies())
                .containsExactly(new PartEdit.Mount(new PartId("R1"), new PartId("E3")));
    }

    private static LoadKind buzzer() {
        return new LoadKind.Buzzer(TWELVE, new Amps(0.1));
    }
}
