package aficion.check;

import static aficion.check.Mistake.found;
import static aficion.check.Mistake.mends;
import static aficion.check.Mistake.none;
import static aficion.check.Mistake.only;
import static org.assertj.core.api.Assertions.assertThat;

import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.check.finding.Severity;
import aficion.job.ControlKind;
import aficion.job.DesignBuilder;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.quantity.Amps;
import aficion.quantity.Henries;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Leads that have taken each other's place, told by the numbers of terminals and what works. */
class NumbersTest {
    private static final Class<PathFinding.NumbersExchanged> EXCHANGED =
            PathFinding.NumbersExchanged.class;

    private static DesignBuilder with() {
        return DesignBuilder.twelveVolts();
    }

    private static LoadKind.Lamp lamp(String... pins) {
        return new LoadKind.Lamp(
                new Volts(13.5),
                Stream.of(pins).map(pin -> new LoadKind.Filament(pin, new Watts(21))).toList());
    }

    private static DesignBuilder relay(DesignBuilder with, String id, String by) {
        return with.relay(id)
                .wire(by, id + ".86", "1mm2", 1)
                .wire(id + ".85", "E1.E", "1mm2", 1)
                .wire("B1.+", id + ".30", "2.5mm2", 1);
    }

    private static DesignBuilder dipped(DesignBuilder with, int lamps, String dip, String main) {
        with.part(
                        "S3",
                        DesignBuilder.selector(
                                "beam",
                                20,
                                DesignBuilder.joins("dip", "56", "56b"),
                                DesignBuilder.joins("main", "56", "56a")))
                .wire("B1.+", "S3.56", "2.5mm2", 1);
        relay(with, "K1", "S3.56b");
        relay(with, "K2", "S3.56a");
        for (int i = 1; i <= lamps; i++) {
            with.mounted("H" + i, "E1", lamp("56b", "56a"))
                    .wire("K1.87", "H" + i + "." + dip, "1.5mm2", 1)
                    .wire("K2.87", "H" + i + "." + main, "1.5mm2", 1);
        }
        return with;
    }

    /** Followed through relays: with two lamps the switch is named, with one the lamp itself. */
    @Test
    void mainForDip() {
        var both = dipped(with(), 2, "56a", "56b");
        assertThat(only(both, EXCHANGED).part()).hasToString("S3");
        mends(both, only(both, EXCHANGED));
        var one = dipped(with(), 1, "56a", "56b");
        assertThat(only(one, EXCHANGED).part()).hasToString("H1");
        mends(one, only(one, EXCHANGED));
        none(dipped(with(), 2, "56b", "56a"), EXCHANGED);
        none(dipped(with(), 1, "56b", "56a"), EXCHANGED);
    }

    /** A switch fed at a pin that joins one or the other, and the lamp H1 and H2 of each. */
    private static DesignBuilder two(String feed, String one, String other, String... leads) {
        return with().part(
                        "S2",
                        DesignBuilder.selector(
                                "two",
                                20,
                                DesignBuilder.joins("one", feed, one),
                                DesignBuilder.joins("other", feed, other)))
                .mounted("H1", "E1", lamp(one))
                .mounted("H2", "E1", lamp(other.equals("56") ? "56a" : other))
                .wire("B1.+", "S2." + feed, "2.5mm2", 1)
                .wire("S2." + leads[0], "H1." + one, "1mm2", 1)
                .wire("S2." + leads[1], "H2." + (other.equals("56") ? "56a" : other), "1mm2", 1);
    }

    private static DesignBuilder lights(String side, String head) {
        return two("30", "58", "56", side, head);
    }

    private static DesignBuilder signals(String left, String right) {
        return two("49a", "L", "R", left, right);
    }

    @Test
    void headForSideAndLeftForRight() {
        mends(lights("56", "58"), only(lights("56", "58"), EXCHANGED));
        none(lights("58", "56"), EXCHANGED);
        mends(signals("R", "L"), only(signals("R", "L"), EXCHANGED));
        none(signals("L", "R"), EXCHANGED);
    }

    private static DesignBuilder rear(String light, String stop, String back) {
        return with().onOff("S2", "lights", 10)
                .part("S3", DesignBuilder.pedal())
                .part("H1", lamp("58", "54"))
                .part("H2", lamp("58"))
                .wire("B1.+", "S2.1", "1mm2", 1)
                .wire("B1.+", "S3.1", "1mm2", 1)
                .wire("S2.2", "H2.58", "1mm2", 1)
                .wire("H2.31", "E1.E", "1mm2", 1)
                .wire("S2.2", "H1." + light, "1mm2", 1)
                .wire("S3.2", "H1." + stop, "1mm2", 1)
                .wire("H1." + back, "E1.E", "1mm2", 1);
    }

    /** The pedal works what 54 is for; a lamp does not return by a filament. */
    @Test
    void tailForStopAndAFilamentForTheReturn() {
        var alone =
                with().onOff("S2", "lights", 10)
                        .part("S3", DesignBuilder.pedal())
                        .part("H1", lamp("58", "54"))
                        .wire("B1.+", "S2.1", "1mm2", 1)
                        .wire("B1.+", "S3.1", "1mm2", 1)
                        .wire("S2.2", "H1.54", "1mm2", 1)
                        .wire("S3.2", "H1.58", "1mm2", 1)
                        .wire("H1.31", "E1.E", "1mm2", 1);
        assertThat(only(alone, EXCHANGED).part()).hasToString("H1");
        mends(alone, only(alone, EXCHANGED));
        none(rear("58", "54", "31"), EXCHANGED);
        var turned = only(rear("58", "31", "54"), EXCHANGED);
        assertThat(List.of(turned.one(), turned.other())).containsExactly("54", "31");
        mends(rear("58", "31", "54"), turned);
    }

    private static DesignBuilder cranked(String heat, String start) {
        return with().part(
                        "S1",
                        DesignBuilder.selector(
                                "key",
                                30,
                                DesignBuilder.joins("heat", "30", "19"),
                                DesignBuilder.joins("start", "30", "50")))
                .mounted("M1", "E1", new LoadKind.Starter(new Ohms(0.05), new Ohms(1.2)))
                .load("X1", 5)
                .wire("B1.+", "S1.30", "4mm2", 1)
                .wire("B1.+", "M1.30", "25mm2", 1)
                .wire("S1." + start, "M1.50", "2.5mm2", 1)
                .wire("S1." + heat, "X1.+", "2.5mm2", 1);
    }

    /** A starter that turns where the plugs should glow. */
    @Test
    void startForHeat() {
        mends(cranked("50", "19"), only(cranked("50", "19"), EXCHANGED));
        none(cranked("19", "50"), EXCHANGED);
    }

    private static DesignBuilder socket(String light, String stop, String back) {
        var plug = new JoinKind.Connector(List.of("31", "54", "58"), new Amps(15));
        return rear("58", "54", "31")
                .part("Q1", plug)
                .wire("H1.58", "Q1." + light, "1mm2", 0.3)
                .wire("H1.54", "Q1." + stop, "1mm2", 0.3)
                .wire("E1.E", "Q1." + back, "1mm2", 0.3);
    }

    /** What is coupled to it goes by its numbers: another vehicle's lamps, or its short. */
    @Test
    void waysOfASocket() {
        var lamps = only(socket("54a", "58a", "31a"), EXCHANGED);
        assertThat(List.of(lamps.one(), lamps.other())).containsExactly("54a", "58a");
        mends(socket("54a", "58a", "31a"), lamps);
        mends(socket("58a", "31a", "54a"), only(socket("58a", "31a", "54a"), EXCHANGED));
        none(socket("58a", "54a", "31a"), EXCHANGED);
    }

    /** What a terminal is for and is fed at another works whatever the switch does. */
    @Test
    void whatASwitchDoesNotGovern() {
        var passed = PathFinding.NumberPassed.class;
        none(lights("58", "56"), passed);
        assertThat(only(lights("58", "58"), passed).pin()).isEqualTo("56");
        assertThat(only(lights("30", "56"), passed).pin()).isEqualTo("58");
        none(lights("56", "58"), passed);
        var bridged = lights("58", "56").wire("B1.+", "S2.56", "1mm2", 0.3);
        assertThat(only(bridged, passed).pin()).isEqualTo("56");
    }

    /** A lamp led past a switch that works the others of its number; not one with its own. */
    @Test
    void aLampThatItsSwitchDoesNotWork() {
        var past = PathFinding.NotSwitched.class;
        var lamp = lights("58", "56").mounted("H3", "E1", lamp("58"));
        none(lamp.wire("S2.58", "H3.58", "1mm2", 1), past);

        lamp = lights("58", "56").mounted("H3", "E1", lamp("58"));
        var found = only(lamp.wire("B1.+", "H3.58", "1mm2", 1), past);
        assertThat(found.part()).hasToString("H3");
        assertThat(found.number()).isEqualTo("58");
        assertThat(found.by()).hasToString("S2");

        lamp = lights("58", "56").mounted("H3", "E1", lamp("58")).onOff("S9", "own", 10);
        none(lamp.wire("B1.+", "S9.1", "1mm2", 1).wire("S9.2", "H3.58", "1mm2", 1), past);
    }

    /**
     * What a relay works is told as well: headlamps whose relay hangs on the side lamps; one that
     * is always in is found as what draws for ever.
     */
    @ParameterizedTest
    @CsvSource({"58, 1", "56, 0", "30, 0"})
    void aRelayAtAnotherTerminal(String at, int findings) {
        var wired =
                with().part(
                                "S2",
                                DesignBuilder.selector(
                                        "lights",
                                        20,
                                        DesignBuilder.joins("side", "30", "58"),
                                        DesignBuilder.joins("head", "30", "56")))
                        .mounted("H1", "E1", lamp("58"))
                        .mounted("H2", "E1", lamp("56a"))
                        .wire("B1.+", "S2.30", "2.5mm2", 1)
                        .wire("S2.58", "H1.58", "1mm2", 1);
        relay(wired, "K1", "S2." + at).wire("K1.87", "H2.56a", "2.5mm2", 1);

        assertThat(found(wired, PathFinding.NumberPassed.class)).hasSize(findings);
    }

    private static DesignBuilder sparked(String feed) {
        return with().keyed()
                .part("T1", new LoadKind.IgnitionCoil(new Ohms(3.2), new Henries(0.007)))
                .mounted("P1", "E1", new ControlKind.Points(4, new Ratio(0.5)))
                .wire("S1." + feed, "T1.15", "1.5mm2", 1)
                .wire("T1.1", "P1.1", "1.5mm2", 0.3);
    }

    /** An ignition on the starter's terminal dies when the key is let go. */
    @Test
    void anIgnitionThatIsFedInStartAlone() {
        var only = Finding.FedOnlyInStart.class;
        assertThat(only(sparked("50"), only).position()).isEqualTo("start");
        none(sparked("15"), only);
        none(sparked("30"), only);
    }

    /** A clock's current is good to know; a lamp or a motor that never goes off is a mistake. */
    @Test
    void whatDrawsForEver() {
        var rest = Finding.DrawsAtRest.class;
        var clock = with().load("X1", 0.2).wire("B1.+", "X1.+", "1mm2", 1);
        var lamp = with().lamp("H1", 5).wire("B1.+", "H1.58", "1mm2", 1);
        var fan =
                with().part("M1", new LoadKind.Motor(new Amps(4), new Volts(12)))
                        .wire("B1.+", "M1.+", "1mm2", 1)
                        .wire("M1.31", "E1.E", "1mm2", 1);

        assertThat(only(clock, rest).severity()).isEqualTo(Severity.NOTE);
        assertThat(only(lamp, rest).severity()).isEqualTo(Severity.ADVISE);
        assertThat(only(fan, rest).severity()).isEqualTo(Severity.ADVISE);
    }

    /** A terminal that is spare stays so where lamps of its number have a switch of their own. */
    @Test
    void whatHasASwitchOfItsOwnPassesNone() {
        var own =
                lights("58", "56")
                        .mounted("H9", "E1", lamp("55"))
                        .part(
                                "S9",
                                DesignBuilder.selector(
                                        "fog",
                                        20,
                                        DesignBuilder.joins("front", "30", "55"),
                                        DesignBuilder.joins("rear", "30", "54")))
                        .mounted("H8", "E1", lamp("54"))
                        .part("S3", DesignBuilder.pedal())
                        .wire("B1.+", "S9.30", "1mm2", 1)
                        .wire("S9.55", "H9.55", "1mm2", 1)
                        .wire("B1.+", "S3.1", "1mm2", 1)
                        .wire("S3.2", "H8.54", "1mm2", 1);

        none(own, PathFinding.NumberPassed.class);
    }

    private static DesignBuilder measured(String source, String battery) {
        return with().alternator("G1", 30)
                .part("P1", new LoadKind.Ammeter(new Amps(30)))
                .onOff("S1", "heater", 60)
                .load("X1", 45)
                .wire("G1.B+", "P1." + source, "10mm2", 1)
                .wire("P1." + battery, "B1.+", "10mm2", 1)
                .wire("B1.+", "S1.1", "10mm2", 1)
                .wire("S1.2", "X1.+", "10mm2", 1);
    }

    /** In the source's own lead it tells what that gives, whatever the battery has to give. */
    @Test
    void anAmmeterInTheLeadOfTheSource() {
        var backwards = Finding.ReadsBackwards.class;
        mends(measured("B", "A"), only(measured("B", "A"), backwards));
        none(measured("A", "B"), backwards);
    }
}
