package aficion.check;

import static aficion.check.Mistake.found;
import static aficion.check.Mistake.none;
import static aficion.check.Mistake.only;
import static org.assertj.core.api.Assertions.assertThat;

import aficion.catalogue.Zone;
import aficion.check.finding.Finding;
import aficion.check.finding.SourceFinding;
import aficion.job.Action;
import aficion.job.Contact;
import aficion.job.ControlKind;
import aficion.job.DesignBuilder;
import aficion.job.LoadKind;
import aficion.job.PartId;
import aficion.job.Position;
import aficion.quantity.Amps;
import aficion.quantity.Henries;
import aficion.quantity.Ohms;
import aficion.quantity.Volts;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What works, and what sparks, by a fan that the wind turns. */
class WindTest {
    private static final Volts TWELVE = new Volts(12);

    /** A fan of 15 A, 9 V of its own at full speed, 5.4 in the wind: enough for a lamp of 13.5. */
    private static LoadKind.Motor fan(LoadKind.Excitation excitation) {
        return new LoadKind.Motor(
                new Amps(15), TWELVE, Optional.empty(), Optional.of(excitation), Optional.empty());
    }

    private static DesignBuilder fan(DesignBuilder with, Zone zone, LoadKind.Excitation field) {
        return with.zone(zone)
                .part("M2", fan(field))
                .zone(Zone.CABIN)
                .onOff("S2", "fan", 20)
                .wire("B1.+", "S2.1", "4mm2", 1)
                .wire("S2.2", "M2.+", "4mm2", 1)
                .wire("M2.31", "E1.E", "4mm2", 1);
    }

    private static DesignBuilder fan() {
        return fan(DesignBuilder.twelveVolts(), Zone.FRONT, LoadKind.Excitation.MAGNET);
    }

    private static List<String> fed(DesignBuilder builder) {
        return found(builder, SourceFinding.FedByWind.class).stream()
                .flatMap(found -> found.feeds().stream())
                .map(PartId::toString)
                .toList();
    }

    /** Neither another motor that it turns nor the fan itself counts, but what else it feeds. */
    @Test
    void whatWorksByTheWindAlone() {
        var lit =
                fan().lamp("H5", 5)
                        .wire("S2.2", "H5.58", "1mm2", 1)
                        .part("M3", fan(LoadKind.Excitation.MAGNET))
                        .wire("S2.2", "M3.+", "4mm2", 1)
                        .wire("M3.31", "E1.E", "4mm2", 1);
        var when = only(lit, SourceFinding.FedByWind.class);
        assertThat(when.part()).isEqualTo(new PartId("M2"));
        assertThat(when.feeds()).extracting(PartId::toString).containsExactly("H5");
        assertThat(when.when().positions().getOrDefault("fan", "off")).isEqualTo("off");
        for (var calm :
                List.of(
                        fan(DesignBuilder.twelveVolts(), Zone.CABIN, LoadKind.Excitation.MAGNET),
                        fan(DesignBuilder.twelveVolts(), Zone.FRONT, LoadKind.Excitation.WOUND))) {
            assertThat(fed(calm.lamp("H5", 5).wire("S2.2", "H5.58", "1mm2", 1))).isEmpty();
        }
    }

    /** On a vehicle of positive earth it is turned the other way and gives all the same. */
    @Test
    void theWindTurnsItTheWayItIsDriven() {
        var positive =
                new DesignBuilder(12)
                        .positiveEarth()
                        .battery(0.006)
                        .wire("B1.+", "E1.E", "25mm2", 0.3)
                        .zone(Zone.FRONT)
                        .part("M2", fan(LoadKind.Excitation.MAGNET))
                        .zone(Zone.CABIN)
                        .onOff("S2", "fan", 20)
                        .lamp("H5", 5)
                        .wire("B1.-", "S2.1", "4mm2", 1)
                        .wire("S2.2", "M2.+", "4mm2", 1)
                        .wire("M2.31", "E1.E", "4mm2", 1)
                        .wire("S2.2", "H5.58", "1mm2", 1);

        assertThat(fed(positive)).containsExactly("H5");
    }

    /** A lamp that a switch of its own joins to the fan, and nothing else. */
    @Test
    void itIsToldInWhichState() {
        var joined =
                fan().onOff("S3", "pilot", 5)
                        .lamp("H5", 5)
                        .wire("S2.2", "S3.1", "1mm2", 1)
                        .wire("S3.2", "H5.58", "1mm2", 1);

        assertThat(only(joined, SourceFinding.FedByWind.class).when().positions())
                .containsEntry("pilot", "on");
    }

    private static final ControlKind.Switch KEY =
            new ControlKind.Switch(
                    Action.KEY,
                    "key",
                    List.of("30", "15"),
                    List.of(
                            new Position("off", false, List.of()),
                            new Position("run", false, List.of(new Contact("30", "15")))),
                    new Amps(30));

    private static DesignBuilder coil(String from) {
        return fan().part("S1", KEY)
                .part("T1", new LoadKind.IgnitionCoil(new Ohms(3.2), new Henries(0.007)))
                .wire(from, "T1.15", "1.5mm2", 1)
                .wire("T1.1", "E1.E", "1.5mm2", 1);
    }

    /** 5.4 V over 0.2 Ω and a coil of 3.2: 1.55 A, whatever the key says. */
    @Test
    void anIgnitionThatItKeepsFed() {
        var kept = coil("S2.2");
        assertThat(only(kept, Finding.KeepsRunning.class).amps().value()).isBetween(1.4, 1.6);
        none(kept, SourceFinding.FedByWind.class);
        none(coil("S1.15").wire("S2.2", "S1.30", "2.5mm2", 1), Finding.KeepsRunning.class);
    }

    /** Without a key there is no off to be judged by. */
    @Test
    void withoutAKeyNothingIsKeptFed() {
        none(
                fan().part("T1", new LoadKind.IgnitionCoil(new Ohms(3.2), new Henries(0.007)))
                        .wire("S2.2", "T1.15", "1.5mm2", 1)
                        .wire("T1.1", "E1.E", "1.5mm2", 1),
                Finding.KeepsRunning.class);
    }
}
