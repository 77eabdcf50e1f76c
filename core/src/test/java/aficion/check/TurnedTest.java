package aficion.check;

import static aficion.check.Mistake.mends;
import static aficion.check.Mistake.none;
import static aficion.check.Mistake.only;
import static org.assertj.core.api.Assertions.assertThat;

import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.job.Contact;
import aficion.job.ControlKind;
import aficion.job.Demand;
import aficion.job.DesignBuilder;
import aficion.job.HouseRules;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.Position;
import aficion.job.SourceKind;
import aficion.job.WorkshopPractice;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What is turned round, on either pole at earth, and what bare metal shorts. */
class TurnedTest {
    private static final Volts TWELVE = new Volts(12);

    private static DesignBuilder with() {
        return DesignBuilder.twelveVolts();
    }

    private static DesignBuilder positive() {
        return new DesignBuilder(12)
                .positiveEarth()
                .battery(0.006)
                .wire("B1.+", "E1.E", "25mm2", 0.3);
    }

    private static DesignBuilder dynamo(String atD, String atF) {
        var built =
                with().mounted("G1", "E1", dynamo())
                        .mounted(
                                "N1",
                                "E1",
                                new SourceKind.ControlBox(
                                        new Volts(14.4), new Volts(12.7), new Amps(22)))
                        .wire("N1.A", "B1.+", "4mm2", 1)
                        .wire("G1.D", "N1." + atD, "4mm2", 1);
        return atF.isEmpty() ? built : built.wire("G1.F", "N1." + atF, "1.5mm2", 1);
    }

    private static SourceKind.Dynamo dynamo() {
        return new SourceKind.Dynamo(
                new Amps(22), new Ohms(6), new Ratio(1.5), new Rpm(1000), Optional.empty());
    }

    /** One lead at the other's post is enough, be the other where it should or nowhere. */
    @Test
    void leadsOfASourceThatAreCrossed() {
        var crossed = PathFinding.LeadsCrossed.class;
        only(dynamo("F", ""), crossed);
        none(dynamo("D", "F"), crossed);
        only(dynamo("D", "D"), crossed);
    }

    private static LoadKind.Motor motor(boolean turned) {
        var usual = new LoadKind.Motor(new Amps(5), TWELVE);
        return turned ? usual.turnedRound() : usual;
    }

    private static DesignBuilder window(boolean turned) {
        var reversing =
                DesignBuilder.selector(
                        "window",
                        20,
                        new Position(
                                "up", true, List.of(new Contact("1", "3"), new Contact("2", "4"))),
                        new Position(
                                "down",
                                true,
                                List.of(new Contact("1", "4"), new Contact("2", "3"))));
        return with().part("S1", reversing)
                .part("M1", motor(turned))
                .wire("B1.+", "S1.1", "2.5mm2", 1)
                .wire("S1.2", "E1.E", "2.5mm2", 1)
                .wire("S1.3", "M1.+", "2.5mm2", 1)
                .wire("S1.4", "M1.31", "2.5mm2", 1);
    }

    /** What runs either way is not turned round, whichever way it was found to turn. */
    @Test
    void aMotorThatRunsEitherWay() {
        var backwards = Finding.RunsBackwards.class;
        none(window(false), backwards);
        none(window(true), backwards);
    }

    private static DesignBuilder led(DesignBuilder with, String live, String plus, String minus) {
        return with.part("H1", new LoadKind.LedLamp(TWELVE, new Watts(2)))
                .wire(live, "H1." + plus, "1mm2", 1)
                .wire("H1." + minus, "E1.E", "1mm2", 1);
    }

    @Test
    void diodesOnEitherPoleAtEarth() {
        var reversed = Finding.PolarityReversed.class;
        var wrong = only(led(positive(), "B1.-", "+", "31"), reversed);
        assertThat(wrong.sees().value()).isBetween(11.0, 15.0);
        none(led(positive(), "B1.-", "31", "+"), reversed);
        only(led(with(), "B1.+", "31", "+"), reversed);
        none(led(with(), "B1.+", "+", "31"), reversed);
    }

    /** Volts of either sign ruin what makes the spark. */
    @Test
    void aMagnetoThatIsFed() {
        for (var vehicle : List.of(positive(), with())) {
            var live = vehicle.build().vehicle().livePin();
            var fed =
                    vehicle.part("S1", DesignBuilder.offRunStart())
                            .mounted("T1", "E1", new LoadKind.Magneto(new Ohms(0.5)))
                            .load("X1", 1)
                            .wire("B1." + live, "S1.30", "1mm2", 1)
                            .wire("S1.50", "X1.+", "1mm2", 1)
                            .wire("S1.15", "T1.kill", "1mm2", 1);
            assertThat(only(fed, Finding.MagnetoFed.class).volts().value()).isBetween(11.0, 15.0);
        }
    }

    private static DesignBuilder relay(ControlKind.Suppression diode, String live) {
        return with().part(
                        "K1",
                        new ControlKind.Relay(
                                TWELVE,
                                new Ohms(90),
                                new Ratio(0.6),
                                new Ratio(0.2),
                                new Amps(30),
                                Optional.empty(),
                                Optional.of(diode)))
                .onOff("S1", "fan", 5)
                .wire("B1.+", "S1.1", "1mm2", 1)
                .wire("S1.2", "K1." + live, "1mm2", 1)
                .wire("K1." + (live.equals("86") ? "85" : "86"), "E1.E", "1mm2", 1);
    }

    /** Its stripe leads to plus, on whichever pin it is. */
    @Test
    void aDiodeOverACoil() {
        var reversed = Finding.SuppressionReversed.class;
        var to85 = relay(ControlKind.Suppression.DIODE_TO_85, "86");
        mends(to85, only(to85, reversed));
        none(relay(ControlKind.Suppression.DIODE_TO_85, "85"), reversed);
        none(relay(ControlKind.Suppression.RESISTOR, "86"), reversed);
    }

    private static DesignBuilder shorted(String... ends) {
        var builder = with().fuse("F1", 20).onOff("S1", "oops", 20);
        for (int i = 0; i < ends.length; i += 2) {
            builder.wire(ends[i], ends[i + 1], "2.5mm2", 0.5);
        }
        return builder;
    }

    /** The switch that closes the way is named, else what stands last on it. */
    @Test
    void whatClosesAShortIsNamed() {
        var dead = PathFinding.DeadShort.class;
        var byHand = only(shorted("B1.+", "S1.1", "S1.2", "F1.1", "F1.2", "E1.E"), dead);
        assertThat(byHand.part()).hasToString("S1");
        assertThat(byHand.when().positions()).containsEntry("oops", "on");
        assertThat(byHand.amps().value()).isGreaterThan(100);
        assertThat(only(shorted("B1.+", "F1.1", "F1.2", "E1.E"), dead).part().toString())
                .isIn("E1", "F1");
        none(shorted("B1.+", "S1.1", "S1.2", "F1.1"), dead);
    }

    private static DesignBuilder sensed(boolean wired, double amps) {
        var sender = new JoinKind.Sender("fuel", new Ohms(240), new Ohms(33));
        var builder =
                with().earth("E2")
                        .part("P1", new LoadKind.Gauge(new Ohms(60), new Amps(0.1)))
                        .wire("B1.+", "P1.B", "1mm2", 1)
                        .wire("P1.T", "R1.T", "1mm2", 1);
        if (wired) {
            builder.part("R1", sender).wire("R1.31", "E2.E", "1mm2", 0.3);
        } else {
            builder.mounted("R1", "E2", sender);
        }
        return builder.mounted(
                        "X1", "E2", new LoadKind.Load(new Demand.InAmps(new Amps(amps)), TWELVE))
                .wire("B1.+", "X1.+", "4mm2", 1);
    }

    /** Eight amps and more move the needle of a sender that shares their earth. */
    @Test
    void aSenderOnTheEarthOfAHeavyLoad() {
        for (boolean wired : List.of(true, false)) {
            var shared = only(sensed(wired, 12), Finding.EarthShared.class);
            assertThat(shared.gauge()).hasToString("R1");
            assertThat(shared.amps().value()).isBetween(11.0, 14.0);
            none(sensed(wired, 5), Finding.EarthShared.class);
        }
    }

    /** What no wire leads to is not told to return by the body as well. */
    @Test
    void whatReturnsByTheBody() {
        var wired =
                with().rules(HouseRules.USUAL.withSchool(WorkshopPractice.WIRE_RETURN))
                        .load("X9", 1);
        none(wired, Finding.ReturnsByBody.class);
        var engine =
                wired.part("E5", new JoinKind.EarthPoint(JoinKind.Mass.ENGINE, new Ohms(0.001)))
                        .mounted("X1", "E5", new LoadKind.Buzzer(TWELVE, new Amps(0.1)))
                        .wire("B1.+", "X1.+", "1mm2", 1)
                        .wire("E5.E", "E1.E", "10mm2", 1);
        none(engine, Finding.ReturnsByBody.class);
        only(engine.wire("B1.+", "X9.+", "1mm2", 1), Finding.ReturnsByBody.class);
    }
}
