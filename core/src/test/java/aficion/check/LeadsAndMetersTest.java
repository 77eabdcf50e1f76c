package aficion.check;

import static aficion.check.Mistake.found;
import static aficion.check.Mistake.none;
import static aficion.check.Mistake.only;
import static org.assertj.core.api.Assertions.assertThat;

import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.check.finding.SourceFinding;
import aficion.job.Action;
import aficion.job.Contact;
import aficion.job.ControlKind;
import aficion.job.DesignBuilder;
import aficion.job.HouseRules;
import aficion.job.LoadKind;
import aficion.job.Position;
import aficion.job.SourceKind;
import aficion.job.Unguarded;
import aficion.job.WorkshopPractice;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Rpm;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Leads stated to go without a guard, meters, stop lamps, and what charges. */
class LeadsAndMetersTest {
    private static final Class<PathFinding.LeadBeyondItsLimits> BEYOND =
            PathFinding.LeadBeyondItsLimits.class;

    private static DesignBuilder with() {
        return DesignBuilder.twelveVolts();
    }

    private static DesignBuilder lead(Unguarded why, double metres, String from, String to) {
        return with().mounted("M1", "E1", new LoadKind.Starter(new Ohms(0.05), new Ohms(1.2)))
                .part("P1", new LoadKind.Ammeter(new Amps(30)))
                .alternator("G2", 45)
                .dynamo("B1.+")
                .fuse("F1", 5)
                .fuse("F2", 15)
                .load("X1", 2)
                .wire("F1.2", "X1.+", "1mm2", 1)
                .wire(from, to, "2.5mm2", metres)
                .stated(why);
    }

    /** What ends at no guard within reach gets one; for what feeds a starter there is none. */
    @Test
    void whatIsStatedIsHeldAgainstWhatIsThere() {
        var reach = Unguarded.WITHIN_REACH;
        assertThat(only(lead(reach, 0.3, "B1.+", "P1.A"), BEYOND).remedies()).isNotEmpty();
        none(lead(reach, 0.3, "B1.+", "F2.1"), BEYOND);
        none(lead(reach, 2, "F1.2", "P1.A").wire("B1.+", "F1.1", "2.5mm2", 0.2), BEYOND);
        var start = Unguarded.STARTER_FEED;
        assertThat(only(lead(start, 1, "B1.+", "P1.A"), BEYOND).remedies()).isEmpty();
        assertThat(only(lead(start, 1, "B1.+", "M1.50"), BEYOND).wire()).hasToString("w6");
        none(lead(start, 1, "B1.+", "M1.30"), BEYOND);
    }

    /** Up to a metre, short and heavy, where the house has it so, from what charges alone. */
    @Test
    void aChargingLeadMayBeAMetre() {
        var heavy = HouseRules.USUAL.withSchool(WorkshopPractice.CHARGE_SHORT);
        var sleeved = Unguarded.SHORT_AND_SLEEVED;
        for (var post : List.of("G2.B+", "N1.A")) {
            none(lead(sleeved, 1, "B1.+", post).rules(heavy), BEYOND);
            only(lead(sleeved, 1, "B1.+", post), BEYOND);
            none(lead(sleeved, 0.3, "B1.+", post), BEYOND);
        }
        only(lead(sleeved, 0.9, "B1.+", "P1.A").rules(heavy), BEYOND);
        only(lead(sleeved, 0.9, "B1.+", "M1.30").rules(heavy), BEYOND);
    }

    private static DesignBuilder linked(double metres, String to) {
        return with().part("B2", new SourceKind.Battery(new Volts(12), new Ohms(0.006)))
                .load("X1", 2)
                .wire("B2.-", "E1.E", "25mm2", 0.3)
                .wire("B1.+", to, "25mm2", metres);
    }

    /** A link of half a metre between two batteries is theirs; a longer one wants a guard. */
    @Test
    void aLinkBetweenBatteries() {
        none(linked(0.5, "B2.+"), Finding.LeadWithoutGuard.class);
        only(linked(0.6, "B2.+"), Finding.LeadWithoutGuard.class);
        only(linked(0.4, "X1.+"), Finding.LeadWithoutGuard.class);
    }

    private static DesignBuilder metered(double range, double amps, String battery, String loads) {
        return with().part("P1", new LoadKind.Ammeter(new Amps(range)))
                .load("X1", amps)
                .wire("B1.+", "P1." + battery, "4mm2", 0.2)
                .wire("P1." + loads, "X1.+", "4mm2", 1);
    }

    /** A twentieth of its range and less tells nothing, neither of the meter nor of the battery. */
    @Test
    void aNeedleThatHardlyMoves() {
        var backwards = Finding.ReadsBackwards.class;
        only(metered(30, 2, "A", "B"), backwards);
        none(metered(30, 1.2, "A", "B"), backwards);
        none(metered(30, 2, "B", "A"), backwards);
        none(metered(30, 1.2, "A", "B").load("X2", 20).wire("B1.+", "X2.+", "4mm2", 1), backwards);
        var low = new LoadKind.Voltmeter(new Volts(16));
        only(
                with().part("P2", low)
                        .wire("B1.+", "P2.31", "1mm2", 1)
                        .wire("P2.+", "E1.E", "1mm2", 1),
                backwards);
        none(
                new DesignBuilder(12)
                        .positiveEarth()
                        .battery(0.006)
                        .wire("B1.+", "E1.E", "25mm2", 0.3)
                        .mounted("P2", "E1", low)
                        .wire("B1.-", "P2.+", "1mm2", 1),
                backwards);
    }

    private static DesignBuilder stopped(String pin, boolean second, String from) {
        var lamp =
                new LoadKind.Lamp(
                        new Volts(13.5), List.of(new LoadKind.Filament(pin, new Watts(21))));
        var builder =
                with().onOff("S2", "light", 10)
                        .part("S3", DesignBuilder.pedal())
                        .mounted("H1", "E1", lamp)
                        .wire("B1.+", "S2.1", "1mm2", 1)
                        .wire(second ? "S2.2" : "B1.+", "S3.1", "1mm2", 1);
        return builder.wire(from, "H1." + pin, "1mm2", 1);
    }

    /** Only of stop lamps is it asked, and only where two things have to be on. */
    @Test
    void whatHasToBeOnForAStopLamp() {
        var other = PathFinding.NeedsOther.class;
        assertThat(only(stopped("54", true, "S3.2"), other).other()).isEqualTo("light");
        none(stopped("54", false, "S3.2"), other);
        none(stopped("58", true, "S3.2"), other);
        none(stopped("54", true, "S2.2"), other);
    }

    /** A horn is fed where the battery feeds it, not behind the lights; a wiper may be a lamp's. */
    @ParameterizedTest
    @CsvSource({"S2.58, horn, true, 1", "B1.+, horn, true, 0", "S2.58, horn, false, 0"})
    void aHornThatNeedsTheLights(String feed, String control, boolean springs, int findings) {
        var lights =
                new ControlKind.Switch(
                        Action.LEVER,
                        "lights",
                        List.of("30", "58"),
                        List.of(
                                new Position("off", false, List.of()),
                                new Position("on", false, List.of(new Contact("30", "58")))),
                        new Amps(10));
        var wired =
                with().part("S2", lights)
                        .lamp("H1", 21)
                        .load("X1", 4)
                        .wire("B1.+", "S2.30", "1mm2", 1)
                        .wire("S2.58", "H1.58", "1mm2", 1);
        var worked = springs ? wired.push("S3", control, 10) : wired.onOff("S3", control, 10);

        assertThat(
                        found(
                                worked.wire(feed, "S3.1", "1mm2", 1)
                                        .wire("S3.2", "X1.+", "1mm2", 1),
                                PathFinding.NeedsOther.class))
                .hasSize(findings)
                .allSatisfy(each -> assertThat(each.other()).isEqualTo("lights"));
    }

    private static DesignBuilder flywheel(double amps) {
        return with().mounted(
                        "G2",
                        "E1",
                        new SourceKind.Flywheel(
                                SourceKind.Flywheel.Winding.LIGHTING, new Amps(20), new Rpm(3000)))
                .onOff("S1", "on", 40)
                .load("X1", amps)
                .wire("B1.+", "S1.1", "6mm2", 1)
                .wire("S1.2", "X1.+", "6mm2", 1);
    }

    /** Whatever charges is held against what is drawn; a battery that nothing charges is not. */
    @Test
    void everySourceIsHeldAgainstWhatIsDrawn() {
        var small = Finding.SourceTooSmall.class;
        var dynamo =
                with().dynamo("B1.+")
                        .onOff("S1", "on", 40)
                        .load("X1", 30)
                        .wire("B1.+", "S1.1", "6mm2", 1)
                        .wire("S1.2", "X1.+", "6mm2", 1);
        assertThat(only(dynamo, small).part()).hasToString("G1");
        none(flywheel(30), small);
        var none = with().load("X1", 30).wire("B1.+", "X1.+", "6mm2", 1);
        none(none, small);
    }

    /** Two of 6 V in series, each fed its half: the set point is shared out. */
    @Test
    void batteriesInSeriesShareTheSetPoint() {
        var pair =
                new DesignBuilder(12)
                        .earth("E1")
                        .part("B1", new SourceKind.Battery(new Volts(6), new Ohms(0.004)))
                        .part("B2", new SourceKind.Battery(new Volts(6), new Ohms(0.004)))
                        .alternator("G1", 45)
                        .wire("B1.-", "E1.E", "25mm2", 0.3)
                        .wire("B2.-", "B1.+", "25mm2", 0.3)
                        .wire("G1.B+", "B2.+", "10mm2", 1);

        none(pair, SourceFinding.Overcharged.class);
    }
}
