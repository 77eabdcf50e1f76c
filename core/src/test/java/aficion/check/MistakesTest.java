package aficion.check;

import static aficion.check.Mistake.found;
import static aficion.check.Mistake.mends;
import static aficion.check.Mistake.none;
import static aficion.check.Mistake.only;
import static org.assertj.core.api.Assertions.assertThat;

import aficion.catalogue.Zone;
import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.check.finding.SourceFinding;
import aficion.job.Action;
import aficion.job.Contact;
import aficion.job.ControlKind;
import aficion.job.DesignBuilder;
import aficion.job.HouseRules;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.Position;
import aficion.job.SourceKind;
import aficion.job.Termination;
import aficion.job.WorkshopPractice;
import aficion.job.edit.WireEdit;
import aficion.quantity.Amps;
import aficion.quantity.Henries;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import aficion.size.Assessment;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Mistakes with sources, ignition, sides and volts, each beside its right twin. */
class MistakesTest {
    private static final Volts TWELVE = new Volts(12);

    private static DesignBuilder with() {
        return DesignBuilder.twelveVolts();
    }

    private static SourceKind.Alternator alternator(
            SourceKind.Alternator.Style style, double volts) {
        return new SourceKind.Alternator(
                new Volts(volts), new Amps(45), new Ohms(4), new Ratio(2.5), Optional.of(style));
    }

    /** A battery that stands with its live pole at earth, and turned round again. */
    @Test
    void aBatteryTurnedRound() {
        var wrong =
                new DesignBuilder(12)
                        .battery(0.006)
                        .fuse("F1", 10)
                        .load("X1", 4)
                        .wire("B1.+", "E1.E", "25mm2", 0.3)
                        .wire("B1.-", "F1.1", "2.5mm2", 0.2)
                        .wire("F1.2", "X1.+", "2.5mm2", 1);

        mends(wrong, only(wrong, SourceFinding.BatteryReversed.class));
        none(
                with().load("X1", 4).wire("B1.+", "X1.+", "2.5mm2", 1),
                SourceFinding.BatteryReversed.class);
    }

    /** Two of 6 V in series are right on 12; two of 12 are not, and one of 6 alone is not. */
    @Test
    void batteriesOfOtherVolts() {
        assertThat(batteries(6, 6)).isEmpty();
        assertThat(batteries(12, 12)).containsExactly("24.0");
        assertThat(batteries(12, 6)).containsExactly("18.0");
    }

    private static List<String> batteries(double one, double other) {
        var builder =
                new DesignBuilder(12)
                        .earth("E1")
                        .part("B1", new SourceKind.Battery(new Volts(one), new Ohms(0.006)))
                        .part("B2", new SourceKind.Battery(new Volts(other), new Ohms(0.006)))
                        .wire("B1.-", "E1.E", "25mm2", 0.3)
                        .wire("B1.+", "B2.-", "25mm2", 0.3);
        return found(builder, Finding.WrongVoltage.class).stream()
                .map(each -> String.valueOf(each.made().value()))
                .toList();
    }

    /** Parts of a 6 V vehicle on 12 V, and of 24 V; regulators by what they are set to. */
    @Test
    void partsOfOtherVolts() {
        for (double volts : new double[] {6, 8.9, 16.3, 24}) {
            assertThat(made(volts)).as(volts + " V").hasSize(9);
        }
        for (double volts : new double[] {9, 12, 13.5, 16.2}) {
            assertThat(made(volts)).as(volts + " V").isEmpty();
        }
        for (double set : new double[] {13.1, 15.5}) {
            assertThat(set(set)).as("set to " + set).hasSize(4);
        }
        for (double set : new double[] {13.3, 14.2, 15.3}) {
            assertThat(set(set)).as("set to " + set).isEmpty();
        }
    }

    private static List<Finding.WrongVoltage> made(double volts) {
        var rated = new Volts(volts);
        var ohms = new Ohms(90);
        return found(
                with().part("X1", new ControlKind.LatchingRelay(rated, ohms, new Amps(10)))
                        .part(
                                "X2",
                                new ControlKind.Flasher(
                                        ControlKind.Flasher.Form.THERMAL, new Watts(42), rated, 90))
                        .part("X3", new LoadKind.WarningLamp(new Watts(2), rated))
                        .part("X4", new LoadKind.LedLamp(rated, new Watts(2)))
                        .part("X5", new LoadKind.Buzzer(rated, new Amps(0.1)))
                        .part("X6", new LoadKind.Motor(new Amps(4), rated))
                        .part(
                                "X7",
                                new LoadKind.WiperMotor(
                                        "park", new Amps(3), rated, Optional.empty()))
                        .part(
                                "X8",
                                new LoadKind.TwoSpeedMotor(
                                        new Amps(3), new Amps(6), rated, Optional.empty(), false))
                        .part(
                                "X9",
                                new ControlKind.Relay(
                                        rated,
                                        ohms,
                                        new Ratio(0.6),
                                        new Ratio(0.2),
                                        new Amps(30),
                                        Optional.empty())),
                Finding.WrongVoltage.class);
    }

    private static List<Finding.WrongVoltage> set(double volts) {
        return found(
                with().part("G1", alternator(SourceKind.Alternator.Style.LAMP, volts))
                        .part("G2", alternator(SourceKind.Alternator.Style.EXTERNAL, volts))
                        .part("G3", new SourceKind.FieldRegulator(new Volts(volts)))
                        .part(
                                "G4",
                                new SourceKind.ControlBox(
                                        new Volts(volts), new Volts(12.5), new Amps(20)))
                        .part(
                                "G5",
                                new SourceKind.RegulatorRectifier(
                                        SourceKind.RegulatorRectifier.Bridge.FULL_WAVE,
                                        new Volts(volts))),
                Finding.WrongVoltage.class);
    }

    private static DesignBuilder governed(String d, String f) {
        return with().mounted(
                        "G1",
                        "E1",
                        new SourceKind.Dynamo(
                                new Amps(20), new Ohms(6), new Ratio(1.5), new Rpm(1000)))
                .mounted(
                        "U1",
                        "E1",
                        new SourceKind.ControlBox(new Volts(14.2), new Volts(12.8), new Amps(20)))
                .wire("G1.D", "U1." + d, "4mm2", 1)
                .wire("G1.F", "U1." + f, "1.5mm2", 1);
    }

    /** D and F taken for each other, at a dynamo and at an alternator with a regulator outside. */
    @Test
    void fieldAndOutputTakenForEachOther() {
        var wrong = governed("F", "D");

        mends(wrong, only(wrong, PathFinding.LeadsCrossed.class));
        none(governed("D", "F"), PathFinding.LeadsCrossed.class);
        mends(outside("DF", "D+"), only(outside("DF", "D+"), PathFinding.LeadsCrossed.class));
        none(outside("D+", "DF"), PathFinding.LeadsCrossed.class);
    }

    private static DesignBuilder outside(String one, String two) {
        return with().mounted("G1", "E1", alternator(SourceKind.Alternator.Style.EXTERNAL, 14.2))
                .part("U1", new SourceKind.FieldRegulator(new Volts(14.2)))
                .wire("G1.D+", "U1." + one, "1.5mm2", 1)
                .wire("G1.DF", "U1." + two, "1.5mm2", 1);
    }

    /** A lamp terminal joined to the battery by bare metal; by way of its lamp it is right. */
    @Test
    void aFieldThatNothingLimits() {
        var alternator = alternator(SourceKind.Alternator.Style.LAMP, 14.2);
        var lamp = new LoadKind.WarningLamp(new Watts(3), TWELVE);
        var wrong =
                with().mounted("G1", "E1", alternator)
                        .onOff("S1", "on", 10)
                        .wire("G1.B+", "B1.+", "10mm2", 1)
                        .wire("B1.+", "S1.1", "1mm2", 1)
                        .wire("S1.2", "G1.D+", "1mm2", 1);
        var right =
                with().mounted("G1", "E1", alternator)
                        .onOff("S1", "on", 10)
                        .part("H1", lamp)
                        .wire("G1.B+", "B1.+", "10mm2", 1)
                        .wire("B1.+", "S1.1", "1mm2", 1)
                        .wire("S1.2", "H1.1", "1mm2", 1)
                        .wire("H1.2", "G1.D+", "1mm2", 1);

        only(wrong, SourceFinding.FieldUnlimited.class);
        none(right, SourceFinding.FieldUnlimited.class);
        only(
                right.rules(HouseRules.USUAL.withSchool(WorkshopPractice.ONE_WIRE)),
                Finding.WakesOtherwise.class);
    }

    private static DesignBuilder switched(String sense) {
        var builder =
                with().mounted("G1", "E1", alternator(SourceKind.Alternator.Style.SWITCHED, 14.2))
                        .part("S1", DesignBuilder.offRunStart())
                        .fuse("F1", 40)
                        .wire("G1.B+", "F1.1", "10mm2", 1)
                        .wire("F1.2", "B1.+", "10mm2", 1)
                        .wire("B1.+", "S1.30", "4mm2", 1)
                        .wire("S1.15", "G1.IG", "1mm2", 1);
        return sense.isEmpty() ? builder : builder.wire("G1.S", sense, "1mm2", 1);
    }

    /** A sense lead that goes nowhere; one behind a drop has the battery boil. */
    @Test
    void aSenseLeadAndWhatItFeels() {
        only(switched(""), SourceFinding.SenseMissing.class);
        none(switched("B1.+"), SourceFinding.SenseMissing.class);
        none(switched("B1.+"), SourceFinding.Overcharged.class);
        var behind =
                switched("R1.2")
                        .part("R1", new JoinKind.Resistor(new Ohms(0.1)))
                        .load("X1", 12)
                        .wire("B1.+", "R1.1", "4mm2", 0.2)
                        .wire("R1.2", "X1.+", "4mm2", 0.2);
        var over = only(behind, SourceFinding.Overcharged.class);
        assertThat(over.reaches().value()).isGreaterThan(over.set().value());
    }

    /** An isolator in the output lead parts battery and source; in the battery's it does so too. */
    @Test
    void anIsolatorThatPartsBatteryAndSource() {
        var alternator = alternator(SourceKind.Alternator.Style.ONE_WIRE, 14.2);
        var wrong =
                with().mounted("G1", "E1", alternator)
                        .onOff("S1", "isolator", 200)
                        .load("X1", 4)
                        .wire("B1.+", "S1.1", "25mm2", 0.3)
                        .wire("S1.2", "X1.+", "4mm2", 1)
                        .wire("G1.B+", "S1.2", "10mm2", 1);
        var right =
                with().mounted("G1", "E1", alternator)
                        .onOff("S1", "isolator", 200)
                        .load("X1", 4)
                        .wire("B1.+", "S1.1", "25mm2", 0.3)
                        .wire("S1.2", "X1.+", "4mm2", 1)
                        .wire("G1.B+", "B1.+", "10mm2", 1);

        assertThat(only(wrong, SourceFinding.LoadDump.class).subject().toString()).contains("G1");
        none(right, SourceFinding.LoadDump.class);
        none(wrong, SourceFinding.IsolatorDoesNotStop.class);
    }

    private static final LoadKind.IgnitionCoil COIL =
            new LoadKind.IgnitionCoil(new Ohms(3.2), new Henries(0.007));

    /** Key, coil and points; 15 goes on while the engine is cranked. */
    private static DesignBuilder ignition(LoadKind.IgnitionCoil coil) {
        return with().part("S1", DesignBuilder.offRunStart())
                .part("T1", coil)
                .mounted("P1", "E1", new ControlKind.Points(4, new Ratio(0.5)))
                .mounted("M1", "E1", new LoadKind.Starter(new Ohms(0.05), new Ohms(1.2)))
                .wire("B1.+", "M1.30", "25mm2", 1)
                .wire("M1.30", "S1.30", "4mm2", 1)
                .wire("S1.50", "M1.50", "2.5mm2", 1);
    }

    private static DesignBuilder sparked(LoadKind.IgnitionCoil coil) {
        return ignition(coil)
                .wire("S1.15", "T1.15", "1.5mm2", 1)
                .wire("T1.1", "P1.1", "1.5mm2", 0.3);
    }

    /** Points stand some 4 A: 3.2 Ω are right on 12 V, 1.5 Ω want a ballast. */
    @Test
    void aCoilThatDrawsTooMuchForItsPoints() {
        var hungry = new LoadKind.IgnitionCoil(new Ohms(1.5), new Henries(0.005));

        none(sparked(COIL), SourceFinding.CoilOverfed.class);
        var found = only(sparked(hungry), SourceFinding.CoilOverfed.class);
        assertThat(found.subject().toString()).contains("T1");
        var ballast = ballast(hungry);
        none(ballast, SourceFinding.CoilOverfed.class);
        only(ballast, SourceFinding.BallastInStart.class);
        none(ballast.wire("M1.15a", "T1.15", "1.5mm2", 1), SourceFinding.BallastInStart.class);
    }

    private static DesignBuilder ballast(LoadKind.IgnitionCoil coil) {
        return ignition(coil)
                .part("R1", new JoinKind.Resistor(new Ohms(1.6)))
                .wire("S1.15", "R1.1", "1.5mm2", 1)
                .wire("R1.2", "T1.15", "1.5mm2", 0.3)
                .wire("T1.1", "P1.1", "1.5mm2", 0.3);
    }

    /** What else hangs on a post of the coil: a radio, and a box that then misfires. */
    @Test
    void whatHangsOnTheCoilPost() {
        var box =
                new ControlKind.IgnitionBox(
                        ControlKind.IgnitionBox.Form.TRANSISTOR, 4, new Ratio(0.5), new Amps(0.1));

        only(
                sparked(COIL).load("X1", 1).wire("T1.15", "X1.+", "1mm2", 1),
                PathFinding.CoilPostFeeds.class);
        only(
                sparked(COIL)
                        .part("J1", new JoinKind.Splice())
                        .load("X1", 1)
                        .wire("T1.15", "J1.J", "1mm2", 0.5)
                        .wire("J1.J", "X1.+", "1mm2", 1),
                PathFinding.CoilPostFeeds.class);
        none(
                sparked(COIL).load("X1", 1).wire("S1.15", "X1.+", "1mm2", 1),
                PathFinding.CoilPostFeeds.class);
        none(sparked(COIL), PathFinding.CoilPostFeeds.class);
        only(
                sparked(COIL).part("U1", box).wire("T1.15", "U1.15", "1mm2", 0.3),
                PathFinding.BoxOnCoilPost.class);
        none(
                sparked(COIL).part("U1", box).wire("S1.15", "U1.15", "1mm2", 0.3),
                PathFinding.BoxOnCoilPost.class);
    }

    /** Behind a switch or a guard it hangs on the post all the same; on the key it is right. */
    @Test
    void whatHangsOnTheCoilPostBehindASwitch() {
        for (var from : List.of("T1.15", "S1.15")) {
            var behind =
                    sparked(COIL)
                            .onOff("S2", "seat", 10)
                            .load("X1", 4)
                            .wire(from, "S2.1", "1.5mm2", 1)
                            .wire("S2.2", "X1.+", "1.5mm2", 1);
            var guarded =
                    sparked(COIL)
                            .fuse("F9", 5)
                            .load("X1", 2)
                            .wire(from, "F9.1", "1mm2", 0.3)
                            .wire("F9.2", "X1.+", "1mm2", 1);
            int findings = from.equals("T1.15") ? 1 : 0;

            assertThat(found(behind, PathFinding.CoilPostFeeds.class)).hasSize(findings);
            assertThat(found(guarded, PathFinding.CoilPostFeeds.class)).hasSize(findings);
        }
    }

    /** Solid plug leads disturb an electronic box; without one they are right. */
    @Test
    void solidPlugLeads() {
        var solid =
                new LoadKind.IgnitionCoil(
                        new Ohms(3.2), new Henries(0.007), Optional.of(LoadKind.PlugLeads.SOLID));
        var box =
                new ControlKind.IgnitionBox(
                        ControlKind.IgnitionBox.Form.TRANSISTOR, 4, new Ratio(0.5), new Amps(0.1));

        only(sparked(solid).part("U1", box), SourceFinding.SolidLeads.class);
        none(sparked(solid), SourceFinding.SolidLeads.class);
        none(sparked(COIL).part("U1", box), SourceFinding.SolidLeads.class);
    }

    /** Fed by a live lead beside the key, an ignition is not stopped by it. */
    @Test
    void anIgnitionThatTheKeyDoesNotStop() {
        only(sparked(COIL).wire("B1.+", "T1.15", "1.5mm2", 1), SourceFinding.FedWithKeyOff.class);
        none(sparked(COIL), SourceFinding.FedWithKeyOff.class);
        none(sparked(COIL), Finding.KeepsRunning.class);
    }

    /**
     * A fuel pump that the key alone runs goes on after a crash; behind oil pressure it does not.
     */
    @Test
    void aPumpThatGoesOn() {
        var oil = new ControlKind.LevelSwitch("oil", new Ratio(0.3), false, new Amps(8));

        only(pumped("fuel pump").wire("S1.15", "X9.+", "1.5mm2", 1), PathFinding.PumpRuns.class);
        none(pumped("heater").wire("S1.15", "X9.+", "1.5mm2", 1), PathFinding.PumpRuns.class);
        none(
                pumped("fuel pump")
                        .part("S2", oil)
                        .wire("S1.15", "S2.1", "1.5mm2", 1)
                        .wire("S2.31", "X9.+", "1.5mm2", 1),
                PathFinding.PumpRuns.class);
    }

    private static DesignBuilder pumped(String name) {
        return with().part("S1", DesignBuilder.offRunStart())
                .named("X9", name, new LoadKind.Motor(new Amps(4), TWELVE))
                .wire("B1.+", "S1.30", "4mm2", 1)
                .wire("X9.31", "E1.E", "1.5mm2", 1);
    }

    private static DesignBuilder signals(String left, String right) {
        var turn =
                new ControlKind.Switch(
                        Action.LEVER,
                        "turn",
                        List.of("49a", "L", "R"),
                        List.of(
                                new Position("off", false, List.of()),
                                new Position("left", false, List.of(new Contact("49a", "L"))),
                                new Position("right", false, List.of(new Contact("49a", "R")))),
                        new Amps(10));
        var lamp =
                new LoadKind.Lamp(
                        new Volts(13.5), List.of(new LoadKind.Filament("58", new Watts(21))));
        return with().part("S1", turn)
                .named("H1", "turn signal, left", lamp)
                .named("H2", "turn signal, right", lamp)
                .wire("B1.+", "S1.49a", "1mm2", 1)
                .wire("S1." + left, "H1.58", "1mm2", 1)
                .wire("S1." + right, "H2.58", "1mm2", 1);
    }

    /** What is crimped on meanwhile is led over with the lead. */
    @Test
    void signalsAreExchangedWithWhatIsCrimpedOnThemNow() {
        var wrong = signals("R", "L").build();
        var before = Assessment.of(wrong);
        Findings.of(before);
        var lead = wrong.wires().getLast();
        var bullet =
                new WireEdit.Crimp(lead.id(), lead.to().terminal(), Termination.BULLET)
                        .apply(wrong);

        assertThat(Findings.of(before.after(bullet))).isEqualTo(Findings.of(Assessment.of(bullet)));
    }

    /** Signals that point the wrong way are exchanged in one step. */
    @Test
    void signalsThatPointTheWrongWay() {
        var wrong = signals("R", "L");
        var found = found(wrong, PathFinding.OnOtherSide.class);

        assertThat(found).hasSize(2);
        found.forEach(each -> mends(wrong, each));
        none(signals("L", "R"), PathFinding.OnOtherSide.class);
    }

    /** The two filaments of one of two lamps the other way round. */
    @Test
    void filamentsTakenForEachOther() {
        var wrong = pair("56b", "56a");

        mends(wrong, only(wrong, PathFinding.FilamentsExchanged.class));
        none(pair("56a", "56b"), PathFinding.FilamentsExchanged.class);
    }

    private static DesignBuilder pair(String main, String dip) {
        var lamp =
                new LoadKind.Lamp(
                        new Volts(13.5),
                        List.of(
                                new LoadKind.Filament("56a", new Watts(60)),
                                new LoadKind.Filament("56b", new Watts(55))));
        var dipper =
                new ControlKind.Switch(
                        Action.LEVER,
                        "dip",
                        List.of("56", "56a", "56b"),
                        List.of(
                                new Position("dip", false, List.of(new Contact("56", "56b"))),
                                new Position("main", false, List.of(new Contact("56", "56a")))),
                        new Amps(20));
        return with().part("S1", dipper)
                .mounted("H1", "E1", lamp)
                .mounted("H2", "E1", lamp)
                .wire("B1.+", "S1.56", "2.5mm2", 1)
                .wire("S1.56a", "H1.56a", "1.5mm2", 1)
                .wire("S1.56b", "H1.56b", "1.5mm2", 1)
                .wire("S1.56a", "H2." + main, "1.5mm2", 1)
                .wire("S1.56b", "H2." + dip, "1.5mm2", 1);
    }

    /** Main and dip joined at the lamp burn together; with the wire out they do not. */
    @Test
    void filamentsFedTogether() {
        var wrong = pair("56a", "56b").wire("H2.56a", "H2.56b", "1.5mm2", 0.1);
        var both = found(wrong, PathFinding.FedTogether.class);

        assertThat(both).hasSize(2);
        mends(wrong, both.getLast());
        none(pair("56a", "56b"), PathFinding.FedTogether.class);
    }

    /** What is called main beam is lit with it; by any other name it may tell what it will. */
    @ParameterizedTest
    @CsvSource({
        "main beam lamp, 56, 1, 1",
        "High-beam tell-tale, 56b, 1, 1",
        "main beam lamp, 56a, 0, 0",
        "lights lamp, 56, 0, 0"
    })
    void aLampThatTellsOfMainBeam(String name, String pin, int findings, int remedies) {
        var wired =
                pair("56a", "56b")
                        .named("L1", name, new LoadKind.WarningLamp(new Watts(2), new Volts(13.5)))
                        .wire("S1." + pin, "L1.1", "1mm2", 1)
                        .wire("L1.2", "E1.E", "1mm2", 1);
        var found = found(wired, PathFinding.TellsWrongly.class);

        assertThat(found).hasSize(findings);
        found.forEach(each -> {
            assertThat(each.when().positions()).doesNotContainEntry("dip", "main");
            assertThat(each.remedies()).hasSize(remedies);
            mends(wired, each);
        });
    }

    /** A stop lamp fed behind the light switch lights only with the lights on. */
    @Test
    void aStopLampThatNeedsTheLights() {
        only(stopped("S2.2"), PathFinding.NeedsOther.class);
        none(stopped("B1.+"), PathFinding.NeedsOther.class);
    }

    private static DesignBuilder stopped(String from) {
        var lamp =
                new LoadKind.Lamp(
                        new Volts(13.5), List.of(new LoadKind.Filament("54", new Watts(21))));
        return with().onOff("S2", "light", 10)
                .part("S3", DesignBuilder.pedal())
                .mounted("H1", "E1", lamp)
                .lamp("H2", 5)
                .wire("B1.+", "S2.1", "1mm2", 1)
                .wire("S2.2", "H2.58", "1mm2", 1)
                .wire(from, "S3.1", "1mm2", 1)
                .wire("S3.2", "H1.54", "1mm2", 1);
    }

    /** A fan that the wind turns keeps the ignition fed where it hangs on the same lead. */
    @Test
    void aFanThatTheWindTurns() {
        only(windy(true), Finding.KeepsRunning.class);
        none(windy(false), Finding.KeepsRunning.class);
    }

    private static DesignBuilder windy(boolean front) {
        return sparked(COIL)
                .zone(front ? Zone.FRONT : Zone.CABIN)
                .part("M2", new LoadKind.Motor(new Amps(15), TWELVE))
                .wire("S1.15", "M2.+", "2.5mm2", 1)
                .wire("M2.31", "E1.E", "2.5mm2", 1);
    }

    private static final ControlKind.IgnitionBox BOX =
            new ControlKind.IgnitionBox(
                    ControlKind.IgnitionBox.Form.TRANSISTOR, 4, new Ratio(0.5), new Amps(0.1));

    /** Points left on the coil beside a box that switches it; on its own they are right. */
    @Test
    void pointsBesideABox() {
        only(
                sparked(COIL)
                        .mounted("U1", "E1", BOX)
                        .wire("S1.15", "U1.15", "1mm2", 1)
                        .wire("T1.1", "U1.1", "1.5mm2", 0.3),
                PathFinding.PointsBesideBox.class);
        none(sparked(COIL), PathFinding.PointsBesideBox.class);
        none(
                ignition(COIL)
                        .mounted("U1", "E1", BOX)
                        .wire("S1.15", "T1.15", "1.5mm2", 1)
                        .wire("S1.15", "U1.15", "1mm2", 1)
                        .wire("T1.1", "U1.1", "1.5mm2", 0.3),
                PathFinding.PointsBesideBox.class);
    }

    /**
     * Two coils of 3.2 Ω on the same points are twice what they stand; each on its own is right.
     */
    @Test
    void twoCoilsOnTheSamePoints() {
        assertThat(
                        found(
                                sparked(COIL)
                                        .part("T2", COIL)
                                        .wire("S1.15", "T2.15", "1.5mm2", 1)
                                        .wire("T2.1", "P1.1", "1.5mm2", 0.3),
                                SourceFinding.CoilOverfed.class))
                .hasSize(2)
                .allSatisfy(found -> assertThat(found.carries().value()).isBetween(7.0, 9.0));
        none(
                sparked(COIL)
                        .part("T2", COIL)
                        .mounted("P2", "E1", new ControlKind.Points(4, new Ratio(0.5)))
                        .wire("S1.15", "T2.15", "1.5mm2", 1)
                        .wire("T2.1", "P2.1", "1.5mm2", 0.3),
                SourceFinding.CoilOverfed.class);
    }

    private static DesignBuilder gauged(String to) {
        return with().part("P1", new LoadKind.Gauge(new Ohms(60), new Amps(0.15)))
                .mounted("R1", "E1", new JoinKind.Sender("fuel", new Ohms(240), new Ohms(33)))
                .wire("B1.+", "P1.B", "1mm2", 1)
                .wire("P1.T", to, "1mm2", 1);
    }

    /** A sender lead on an earth has the needle at its end; at its sender it is right. */
    @Test
    void aGaugeWithItsSenderLeadAtEarth() {
        only(gauged("E1.E"), PathFinding.GaugeAtEarth.class);
        none(gauged("R1.T"), PathFinding.GaugeAtEarth.class);
    }

    private static DesignBuilder metered(String plus, String minus) {
        return with().part("P1", new LoadKind.Voltmeter(new Volts(16)))
                .wire("B1.+", "P1." + plus, "1mm2", 1)
                .wire("P1." + minus, "E1.E", "1mm2", 1);
    }

    /** A voltmeter that reads below zero. */
    @Test
    void aVoltmeterTurnedRound() {
        var wrong = metered("31", "+");

        mends(wrong, only(wrong, Finding.ReadsBackwards.class));
        none(metered("+", "31"), Finding.ReadsBackwards.class);
    }
}
