package aficion.check;

import static aficion.check.Mistake.found;
import static aficion.check.Mistake.mends;
import static aficion.check.Mistake.none;
import static aficion.check.Mistake.only;
import static org.assertj.core.api.Assertions.assertThat;

import aficion.catalogue.Colour;
import aficion.catalogue.Insulation;
import aficion.catalogue.Zone;
import aficion.check.finding.Finding;
import aficion.check.finding.FitFinding;
import aficion.check.finding.PathFinding;
import aficion.job.Action;
import aficion.job.Contact;
import aficion.job.ControlKind;
import aficion.job.DesignBuilder;
import aficion.job.HouseRules;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.Position;
import aficion.job.SourceKind;
import aficion.job.Unguarded;
import aficion.job.WireColour;
import aficion.job.WorkshopPractice;
import aficion.quantity.Amps;
import aficion.quantity.Henries;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Seconds;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import aficion.size.Assessment;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Mistakes at ends, in looks and with guards, each beside its right twin. */
class EndsTest {
    private static final Volts TWELVE = new Volts(12);

    private static DesignBuilder with() {
        return DesignBuilder.twelveVolts();
    }

    private static DesignBuilder lead(String size, String from, String to) {
        return with().load("X1", 2).wire("B1.+", "X1.+", size, 1).ends(from, to);
    }

    /** 4 mm² into a blade of up to 1 mm²; 0.5 mm² where a lug grips from 8 on. */
    @Test
    void copperThatIsTooThickOrTooThin() {
        var thick = lead("4mm2", "ring-m8", "blade-2-8");
        var thin = lead("0.5mm2", "lug-10-m8", "blade-6-3");

        mends(thick, only(thick, FitFinding.EndTooSmall.class));
        mends(thin, only(thin, FitFinding.EndTooLarge.class));
        none(lead("1mm2", "ring-m8", "blade-2-8"), FitFinding.EndTooSmall.class);
        none(lead("0.5mm2", "ring-m8", "blade-6-3"), FitFinding.EndTooLarge.class);
    }

    /** A blade of 2.8 mm carries 8 A for good. */
    @Test
    void aBladeThatCarriesTooMuch() {
        var wrong =
                with().load("X1", 9).wire("B1.+", "X1.+", "1mm2", 0.3).ends("ring-m8", "blade-2-8");
        var right =
                with().load("X1", 6).wire("B1.+", "X1.+", "1mm2", 0.3).ends("ring-m8", "blade-2-8");

        mends(wrong, only(wrong, Finding.TerminalOverloaded.class));
        none(right, Finding.TerminalOverloaded.class);
    }

    /** A ring for another stud than that of the starter. */
    @Test
    void aRingForAnotherStud() {
        var wrong = starter("ring-m6");

        mends(wrong, only(wrong, FitFinding.RingDoesNotFit.class));
        none(starter("ring-m8"), FitFinding.RingDoesNotFit.class);
    }

    private static DesignBuilder starter(String ring) {
        return with().mounted("M1", "E1", new LoadKind.Starter(new Ohms(0.05), new Ohms(1.2)))
                .wire("B1.+", "M1.30", "10mm2", 1)
                .ends("ring-m8", ring);
    }

    /** Three rings on a stud are as many as hold; on a joint, which is no stud, any number. */
    @Test
    void ringsOnAStud() {
        only(rings(4), FitFinding.TooManyRings.class);
        none(rings(3), FitFinding.TooManyRings.class);
    }

    private static DesignBuilder rings(int number) {
        var builder = with().earth("E2");
        for (int i = 1; i <= number; i++) {
            builder.load("X" + i, 1)
                    .wire("X" + i + ".+", "E2.E", "1mm2", 1)
                    .ends("blade-6-3", "ring-m6");
        }
        return builder;
    }

    /** Two leads of accessories on a post are one too many; behind one guard they are right. */
    @Test
    void accessoriesOnThePost() {
        var wrong = accessories("B1.+");

        mends(wrong, only(wrong, FitFinding.RingsOnPost.class));
        none(accessories("F1.1"), FitFinding.RingsOnPost.class);
    }

    private static DesignBuilder accessories(String second) {
        return with().fuse("F1", 10)
                .fuse("F2", 10)
                .load("X1", 2)
                .load("X2", 2)
                .wire("B1.+", "F1.1", "2.5mm2", 0.2)
                .ends("ring-m8", "blade-6-3")
                .wire(second, "F2.1", "2.5mm2", 0.2)
                .ends("ring-m8", "blade-6-3")
                .wire("F1.2", "X1.+", "1mm2", 1)
                .wire("F2.2", "X2.+", "1mm2", 1);
    }

    /** Two wires of 4 mm² do not go into one blade of 6. */
    @Test
    void aBarrelThatIsOverfull() {
        var wrong = shared("4mm2");

        mends(wrong, only(wrong, FitFinding.BarrelOverfull.class));
        none(shared("2.5mm2"), FitFinding.BarrelOverfull.class);
    }

    private static DesignBuilder shared(String size) {
        return with().fuse("F1", 20)
                .load("X1", 5)
                .load("X2", 5)
                .wire("B1.+", "F1.1", "4mm2", 0.2)
                .wire("F1.2", "X1.+", size, 1)
                .ends("blade-6-3", "blade-6-3")
                .wire("F1.2", "X2.+", size, 1)
                .ends("blade-6-3", "blade-6-3");
    }

    /** Bare blades in the spray; sealed ones, and bare ones inside, are right. */
    @Test
    void bareEndsInTheWet() {
        var wrong = spray(Zone.UNDERBODY, "blade-6-3");

        mends(wrong, only(wrong, FitFinding.BareInWet.class));
        none(spray(Zone.UNDERBODY, "blade-6-3-sealed"), FitFinding.BareInWet.class);
        none(spray(Zone.CABIN, "blade-6-3"), FitFinding.BareInWet.class);
    }

    private static DesignBuilder spray(Zone zone, String end) {
        return with().zone(zone)
                .load("X1", 2)
                .zone(Zone.CABIN)
                .wire("B1.+", "X1.+", "1mm2", 1)
                .ends("ring-m8", end);
    }

    private static DesignBuilder coloured(Colour live) {
        return with().load("X1", 2)
                .fuse("F1", 5)
                .wire("B1.+", "F1.1", "1mm2", 0.2)
                .wire("F1.2", "X1.+", "1mm2", 1)
                .coloured(WireColour.plain(live))
                .part("X2", new LoadKind.Buzzer(TWELVE, new Amps(0.1)))
                .wire("X2.31", "E1.E", "1mm2", 1)
                .coloured(WireColour.plain(Colour.BLACK))
                .part("X3", new LoadKind.Buzzer(TWELVE, new Amps(0.1)))
                .wire("X3.31", "E1.E", "1mm2", 1)
                .coloured(WireColour.plain(Colour.BLACK));
    }

    /** The strap of the battery is red here, so that the earths wear no one colour. */
    @Test
    void aLiveWireInTheColourOfTheEarths() {
        var strap =
                new DesignBuilder(12)
                        .battery(0.006)
                        .wire("B1.-", "E1.E", "25mm2", 0.3)
                        .coloured(WireColour.plain(Colour.BLACK))
                        .fuse("F1", 5)
                        .load("X1", 2)
                        .part("X2", new LoadKind.Buzzer(TWELVE, new Amps(0.1)))
                        .wire("X2.31", "E1.E", "1mm2", 1)
                        .coloured(WireColour.plain(Colour.BLACK))
                        .wire("B1.+", "F1.1", "1mm2", 0.2)
                        .wire("F1.2", "X1.+", "1mm2", 1)
                        .coloured(WireColour.plain(Colour.BLACK));

        only(strap, FitFinding.EarthColourOnLive.class);
        none(coloured(Colour.BLACK), FitFinding.EarthColourOnLive.class);
        none(coloured(Colour.GREEN), FitFinding.EarthColourOnLive.class);
    }

    /** A wire in a door with nothing to spare. */
    @Test
    void aWireThatBendsWithADoor() {
        only(
                with().load("X1", 2).zone(Zone.MOVING).wire("B1.+", "X1.+", "1mm2", 1),
                FitFinding.NoSlack.class);
        none(with().load("X1", 2).wire("B1.+", "X1.+", "1mm2", 1), FitFinding.NoSlack.class);
    }

    private static DesignBuilder discharge(Insulation cover) {
        return with().insulation(cover)
                .part("T1", new LoadKind.IgnitionCoil(new Ohms(1.5), new Henries(0.004)))
                .mounted(
                        "U1",
                        "E1",
                        new ControlKind.IgnitionBox(
                                ControlKind.IgnitionBox.Form.DISCHARGE,
                                4,
                                new Ratio(0.4),
                                new Amps(0.5)))
                .part("C1", new JoinKind.Connector(List.of("1"), new Amps(10)))
                .wire("U1.1", "C1.1a", "1mm2", 0.2)
                .wire("C1.1b", "T1.1", "1mm2", 0.3);
    }

    /** What a plug joins to a discharge box has its volts as well. */
    @Test
    void aCoverBehindAPlug() {
        assertThat(found(discharge(Insulation.PVC105), Finding.CoverTooWeak.class)).hasSize(2);
        none(discharge(Insulation.XLPE125), Finding.CoverTooWeak.class);
    }

    private static DesignBuilder branch(double main, double branch) {
        return with().fuse("F1", main)
                .fuse("F2", branch)
                .load("X1", 2)
                .wire("B1.+", "F1.1", "6mm2", 0.2)
                .wire("F1.2", "F2.1", "6mm2", 0.5)
                .wire("F2.2", "X1.+", "2.5mm2", 1);
    }

    /** 1.6 times what the branch carries: 30 A before 20 are too little, before 15 enough. */
    @Test
    void aMainGuardAndItsBranch() {
        only(branch(30, 20), Finding.NotSelective.class);
        none(branch(30, 15), Finding.NotSelective.class);
        none(branch(40, 25), Finding.NotSelective.class);
    }

    /** Two guards that feed one circuit: with one out it is live by way of the other. */
    @Test
    void aCircuitFedByTwoGuards() {
        only(twice(true), PathFinding.TwoGuards.class);
        none(twice(false), PathFinding.TwoGuards.class);
    }

    private static DesignBuilder twice(boolean joined) {
        var builder =
                with().fuse("F1", 10)
                        .fuse("F2", 10)
                        .load("X1", 2)
                        .load("X2", 2)
                        .wire("B1.+", "F1.1", "2.5mm2", 0.2)
                        .wire("B1.+", "F2.1", "2.5mm2", 0.2)
                        .wire("F1.2", "X1.+", "2.5mm2", 1)
                        .wire("F2.2", "X2.+", "2.5mm2", 1);
        return joined ? builder.wire("X1.+", "X2.+", "2.5mm2", 1) : builder;
    }

    private static DesignBuilder behindBoth(String link, String branch) {
        return twice(false)
                .load("X3", 2)
                .wire("X1.+", "X2.+", link, 1)
                .wire("X2.+", "X3.+", branch, 1);
    }

    /** 20 A together: what lies behind both bears them; what joins them sees one at a time. */
    @Test
    void aWireThatTwoGuardsFeedBearsBoth() {
        var thin = found(behindBoth("2.5mm2", "0.75mm2"), PathFinding.GuardsTogether.class);

        assertThat(thin)
                .singleElement()
                .satisfies(found -> {
                    assertThat(found.wire()).hasToString("w7");
                    assertThat(found.pass().value()).isEqualTo(20);
                    assertThat(found.bears().value()).isBetween(10.0, 20.0);
                });
        none(behindBoth("0.75mm2", "2.5mm2"), PathFinding.GuardsTogether.class);
    }

    private static DesignBuilder unguarded(Unguarded why, double metres, String to) {
        return with().mounted("M1", "E1", new LoadKind.Starter(new Ohms(0.05), new Ohms(1.2)))
                .alternator("G1", 45)
                .fuse("F1", 30)
                .load("X1", 2)
                .wire("F1.2", "X1.+", "2.5mm2", 1)
                .wire("B1.+", to, "25mm2", metres)
                .stated(why);
    }

    /** What is said to go without a guard keeps to what that is for, and to its length. */
    @Test
    void whatGoesWithoutAGuard() {
        none(unguarded(Unguarded.STARTER_FEED, 2, "M1.30"), PathFinding.LeadBeyondItsLimits.class);
        only(unguarded(Unguarded.STARTER_FEED, 2, "F1.1"), PathFinding.LeadBeyondItsLimits.class);
        none(
                unguarded(Unguarded.WITHIN_REACH, 0.15, "F1.1"),
                PathFinding.LeadBeyondItsLimits.class);
        only(unguarded(Unguarded.WITHIN_REACH, 0.8, "F1.1"), PathFinding.LeadBeyondItsLimits.class);
        only(
                unguarded(Unguarded.WITHIN_REACH, 0.15, "G1.B+"),
                PathFinding.LeadBeyondItsLimits.class);
        none(
                unguarded(Unguarded.SHORT_AND_SLEEVED, 0.15, "G1.B+"),
                PathFinding.LeadBeyondItsLimits.class);
        only(
                unguarded(Unguarded.SHORT_AND_SLEEVED, 0.9, "G1.B+"),
                PathFinding.LeadBeyondItsLimits.class);
        var house = HouseRules.USUAL.withSchool(WorkshopPractice.CHARGE_SHORT);
        none(
                unguarded(Unguarded.SHORT_AND_SLEEVED, 0.9, "G1.B+").rules(house),
                PathFinding.LeadBeyondItsLimits.class);
        only(
                unguarded(Unguarded.SHORT_AND_SLEEVED, 1.1, "G1.B+").rules(house),
                PathFinding.LeadBeyondItsLimits.class);
    }

    private static DesignBuilder wiper(String park) {
        var hand =
                new ControlKind.Switch(
                        Action.LEVER,
                        "wipe",
                        List.of("1", "2", "3"),
                        List.of(
                                new Position("off", false, List.of(new Contact("2", "3"))),
                                new Position("on", false, List.of(new Contact("1", "2")))),
                        new Amps(10));
        var builder =
                with().mounted(
                                "M1",
                                "E1",
                                new LoadKind.WiperMotor(
                                        "blades", new Amps(3), TWELVE, Optional.empty()))
                        .part("S1", hand)
                        .wire("B1.+", "S1.1", "1.5mm2", 1)
                        .wire("S1.2", "M1.53", "1.5mm2", 1)
                        .wire("B1.+", "M1.53a", "1.5mm2", 1);
        return park.isEmpty() ? builder : builder.wire("M1.31b", park, "1.5mm2", 1);
    }

    /** A wiper that stops where it is; one that runs home is right. */
    @Test
    void aWiperThatNeverParks() {
        only(wiper(""), PathFinding.NeverParks.class);
        none(wiper("S1.3"), PathFinding.NeverParks.class);
    }

    /** An earth of 50 mΩ loses 0.25 V at 5 A, where 0.1 V are what a joint may. */
    @Test
    void aJointThatLoses() {
        var wrong = earthed(0.05);
        var losing = only(wrong, PathFinding.JointLoses.class);

        mends(wrong, losing);
        none(earthed(0.015), PathFinding.JointLoses.class);
    }

    private static DesignBuilder earthed(double ohms) {
        return with().part("E2", new JoinKind.EarthPoint(JoinKind.Mass.BODY, new Ohms(ohms)))
                .part("X1", new LoadKind.Heater(new Ohms(2.4), new Ohms(2.4), new Seconds(5)))
                .wire("B1.+", "X1.+", "2.5mm2", 1)
                .wire("X1.31", "E2.E", "2.5mm2", 1);
    }

    private static DesignBuilder bridged(String from, String to) {
        var builder =
                with().fuse("F1", 10)
                        .fuse("F2", 5)
                        .onOff("S1", "fan", 10)
                        .load("X1", 4)
                        .wire("B1.+", "F1.1", "2.5mm2", 0.2)
                        .wire("F1.2", "S1.1", "1.5mm2", 1)
                        .wire("S1.2", "X1.+", "1.5mm2", 1);
        return from.isEmpty() ? builder : builder.wire(from, to, "1.5mm2", 0.3);
    }

    /** A wire from one side of a switch to the other; past a guard it may be meant. */
    @Test
    void aSwitchThatAWireBridges() {
        var wrong = bridged("S1.1", "S1.2");

        mends(wrong, only(wrong, PathFinding.Bridged.class));
        only(bridged("F1.2", "X1.+"), PathFinding.Bridged.class);
        none(bridged("", ""), PathFinding.Bridged.class);
        none(bridged("F1.2", "F2.1").wire("F2.2", "X1.+", "1.5mm2", 1), PathFinding.Bridged.class);
    }

    /** Points beside which the coil is earthed never open; a plug past a flasher stops it. */
    @Test
    void pointsAndAFlasherThatAreBridged() {
        var coil = new LoadKind.IgnitionCoil(new Ohms(3.2), new Henries(0.007));
        var points =
                with().part("T1", coil)
                        .mounted("P1", "E1", new ControlKind.Points(4, new Ratio(0.5)))
                        .wire("B1.+", "T1.15", "1.5mm2", 1)
                        .wire("T1.1", "P1.1", "1.5mm2", 0.3);
        none(points, PathFinding.Bridged.class);
        only(points.wire("T1.1", "E1.E", "1.5mm2", 0.3), PathFinding.Bridged.class);
        var flasher =
                new ControlKind.Flasher(
                        ControlKind.Flasher.Form.THERMAL, new Watts(21), TWELVE, 90);
        only(
                with().part("K1", flasher)
                        .part("C1", new JoinKind.Connector(List.of("1"), new Amps(10)))
                        .lamp("H1", 21)
                        .wire("B1.+", "K1.49", "1mm2", 1)
                        .wire("K1.49a", "H1.58", "1mm2", 1)
                        .wire("K1.49", "C1.1a", "1mm2", 0.2)
                        .wire("C1.1b", "K1.49a", "1mm2", 0.2),
                PathFinding.Bridged.class);
    }

    /** One that opens another way is of use; a pin that nothing goes to bridges nothing. */
    @Test
    void aSwitchOfTwoContacts() {
        var two =
                new ControlKind.Switch(
                        Action.LEVER,
                        "two",
                        List.of("1", "2", "3"),
                        List.of(
                                new Position("off", false, List.of()),
                                new Position("on", false, List.of(new Contact("1", "2"))),
                                new Position("more", false, List.of(new Contact("1", "3")))),
                        new Amps(10));
        var builder =
                with().part("S1", two)
                        .load("X1", 2)
                        .load("X2", 2)
                        .wire("B1.+", "S1.1", "1.5mm2", 1)
                        .wire("S1.2", "X1.+", "1.5mm2", 1)
                        .wire("S1.1", "S1.2", "1.5mm2", 0.1);

        only(builder, PathFinding.Bridged.class);
        none(builder.wire("S1.3", "X2.+", "1.5mm2", 1), PathFinding.Bridged.class);
    }

    /** Two batteries that close a ring through earth short each other, though no metal does. */
    @Test
    void batteriesInARing() {
        var ring =
                with().part("B2", new SourceKind.Battery(TWELVE, new Ohms(0.006)))
                        .wire("B2.-", "B1.+", "25mm2", 0.3)
                        .wire("B2.+", "E1.E", "25mm2", 0.3);

        assertThat(found(ring, PathFinding.DeadShort.class)).isNotEmpty();
    }

    /** 6.35 V over what a battery resists that is filled: the one gives it, and none is drawn. */
    @Test
    void whatOneBatteryGivesToAnotherIsTold() {
        var joined =
                DesignBuilder.twelveVolts()
                        .part("B2", new SourceKind.Battery(new Volts(6), new Ohms(0.01)))
                        .onOff("S1", "join", 100)
                        .wire("B2.-", "E1.E", "10mm2", 0.3)
                        .wire("B1.+", "S1.1", "10mm2", 1)
                        .wire("S1.2", "B2.+", "10mm2", 1);

        assertThat(found(joined, PathFinding.DeadShort.class))
                .singleElement()
                .satisfies(each -> {
                    assertThat(each.amps().value()).isBetween(25.0, 35.0);
                    assertThat(each.when().positions()).containsEntry("join", "on");
                });
    }

    /** A lamp whose lead ends in a joint that nothing feeds. */
    @Test
    void aLampThatIsNeverLitIsSaidToBe() {
        var lamp =
                new LoadKind.Lamp(
                        new Volts(13.5), List.of(new LoadKind.Filament("58", new Watts(21))));
        var dark =
                with().part("H1", lamp)
                        .part("J1", new JoinKind.Splice())
                        .wire("J1.J", "H1.58", "1mm2", 1)
                        .wire("H1.31", "E1.E", "1mm2", 1);

        assertThat(Findings.of(Assessment.of(dark.build())))
                .anyMatch(finding -> finding.subject().toString().contains("H1"));
    }
}
