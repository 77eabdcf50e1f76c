package aficion.check;

import static aficion.check.Mistake.comesWithALongLead;
import static aficion.check.Mistake.found;
import static aficion.check.Mistake.none;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.check.finding.PathFinding;
import aficion.check.finding.PathFinding.Lack;
import aficion.check.function.Wants;
import aficion.job.ControlKind;
import aficion.job.ControlKind.IgnitionBox;
import aficion.job.Demand;
import aficion.job.DesignBuilder;
import aficion.job.JoinKind;
import aficion.job.Kind;
import aficion.job.LoadKind;
import aficion.job.PartId;
import aficion.job.edit.PartEdit;
import aficion.netlist.Conditions;
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
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Parts that get what they need in no state, and why. */
class NeverWorksTest {
    private static final Volts TWELVE = new Volts(12);
    private static final PartId K1 = new PartId("K1");
    private static final PartId H1 = new PartId("H1");

    private static DesignBuilder relayed() {
        return DesignBuilder.twelveVolts()
                .fuse("F1", 10)
                .onOff("S1", "light", 10)
                .relay("K1")
                .lamp("H1", 55)
                .wire("B1.+", "F1.1", "2.5mm2", 0.15)
                .wire("F1.2", "K1.30", "2.5mm2", 1)
                .wire("F1.2", "S1.1", "1mm2", 1)
                .wire("S1.2", "K1.86", "1mm2", 1)
                .wire("K1.85", "E1.E", "1mm2", 1)
                .wire("K1.87", "H1.58", "1.5mm2", 1);
    }

    /** Whichever two leads have changed places, the relay is named, and put right. */
    @ParameterizedTest
    @CsvSource({"85, 30", "86, 87", "85, 87"})
    void leadsOfARelayInEachOthersPlace(String one, String other) {
        none(relayed(), PathFinding.PinsExchanged.class);
        none(relayed(), PathFinding.NeverWorks.class);
        var wrong = new PartEdit.Exchange(K1, one, other).apply(relayed().build());
        var exchanged = found(wrong, PathFinding.PinsExchanged.class);

        assertThat(exchanged).hasSize(1);
        assertThat(exchanged.getFirst().part()).isEqualTo(K1);
        assertThat(List.of(exchanged.getFirst().one(), exchanged.getFirst().other()))
                .containsExactlyInAnyOrder(one, other);
        assertThat(exchanged.getFirst().dead()).isNotEmpty();
        assertThat(found(wrong, PathFinding.NeverWorks.class)).isEmpty();
        var mended = exchanged.getFirst().remedies().getFirst().apply(wrong);
        assertThat(found(mended, PathFinding.PinsExchanged.class)).isEmpty();
        assertThat(found(mended, PathFinding.NeverWorks.class)).isEmpty();
    }

    private static void lacks(DesignBuilder wired, String part, Lack lack, String end) {
        assertThat(found(wired, PathFinding.NeverWorks.class))
                .filteredOn(each -> each.part().equals(new PartId(part)))
                .singleElement()
                .satisfies(each -> {
                    assertThat(each.lack()).isEqualTo(lack);
                    assertThat(each.end()).hasToString(end);
                });
    }

    /** A coil that only its own contact feeds never pulls in, and what it switches stays dark. */
    @Test
    void aRelayThatOnlyFeedsItself() {
        var wired =
                DesignBuilder.twelveVolts()
                        .relay("K1")
                        .lamp("H1", 21)
                        .wire("B1.+", "K1.30", "1mm2", 1)
                        .wire("K1.87", "K1.86", "1mm2", 0.1)
                        .wire("K1.85", "E1.E", "1mm2", 1)
                        .wire("K1.87", "H1.58", "1mm2", 1);

        lacks(wired, "K1", Lack.OWN_CONTACT, "K1.86");
        lacks(wired, "H1", Lack.NEVER_FED, "H1.58");
        none(
                wired.push("S1", "on", 5)
                        .wire("B1.+", "S1.1", "1mm2", 1)
                        .wire("S1.2", "K1.86", "1mm2", 1),
                PathFinding.NeverWorks.class);
    }

    private static ControlKind.Switch eitherOr() {
        return DesignBuilder.selector(
                "either",
                10,
                DesignBuilder.joins("feed", "1", "2"),
                DesignBuilder.joins("earth", "3", "4"));
    }

    /** Fed in one position and earthed in another, a buzzer gets both in none. */
    @Test
    void whatIsFedAndEarthedInTurn() {
        var warning = new LoadKind.WarningLamp(new Watts(2.2), TWELVE);
        var wired =
                DesignBuilder.twelveVolts()
                        .part("S1", eitherOr())
                        .part("L1", warning)
                        .wire("B1.+", "S1.1", "1mm2", 1)
                        .wire("S1.2", "L1.1", "1mm2", 1)
                        .wire("L1.2", "S1.3", "1mm2", 1)
                        .wire("S1.4", "E1.E", "1mm2", 1);

        lacks(wired, "L1", Lack.NEVER_TOGETHER, "L1.2");
        none(wired.wire("L1.2", "E1.E", "1mm2", 1), PathFinding.NeverWorks.class);
    }

    /** A coil fed through a lamp gets what the lamp leaves, which is not enough. */
    @Test
    void whatOnlyAnotherLoadFeeds() {
        var wired =
                DesignBuilder.twelveVolts()
                        .part("L1", new LoadKind.WarningLamp(new Watts(0.3), TWELVE))
                        .relay("K1")
                        .relay("K2")
                        .load("X1", 2)
                        .wire("B1.+", "L1.1", "1mm2", 1)
                        .wire("L1.2", "K1.86", "1mm2", 1)
                        .wire("L1.2", "K2.86", "1mm2", 1)
                        .wire("K2.85", "E1.E", "1mm2", 1)
                        .wire("K1.85", "E1.E", "1mm2", 1)
                        .wire("B1.+", "K1.30", "1mm2", 1)
                        .wire("K1.87", "X1.+", "1mm2", 1);

        lacks(wired, "K1", Lack.THROUGH_LOADS, "K1.86");
        lacks(wired, "X1", Lack.NEVER_FED, "X1.+");
        none(wired, PathFinding.PinsExchanged.class);
        none(wired.wire("B1.+", "K1.86", "1mm2", 1), PathFinding.NeverWorks.class);
    }

    /** So long and thin a lead leaves a coil less than it pulls in at; no pin of it is wrong. */
    @Test
    void whatTooLittleIsLeftOf() {
        var wired =
                DesignBuilder.twelveVolts()
                        .relay("K1", 2)
                        .load("X1", 2)
                        .wire("B1.+", "K1.86", "0.5mm2", 50)
                        .wire("K1.85", "E1.E", "1mm2", 1)
                        .wire("B1.+", "K1.30", "1mm2", 1)
                        .wire("K1.87", "X1.+", "1mm2", 1);

        lacks(wired, "K1", Lack.TOO_LITTLE, "K1.85");
        none(wired, PathFinding.PinsExchanged.class);
    }

    /** A lamp whose way back a relay closes that nothing pulls in. */
    @Test
    void whatIsNeverEarthed() {
        var wired =
                DesignBuilder.twelveVolts()
                        .relay("K1")
                        .relay("K2")
                        .part("L1", new LoadKind.WarningLamp(new Watts(2.2), TWELVE))
                        .wire("B1.+", "K1.30", "1mm2", 1)
                        .wire("K1.87", "K1.86", "1mm2", 0.1)
                        .wire("K1.85", "E1.E", "1mm2", 1)
                        .wire("K1.87", "K2.86", "1mm2", 1)
                        .wire("K2.85", "E1.E", "1mm2", 1)
                        .wire("B1.+", "L1.1", "1mm2", 1)
                        .wire("L1.2", "K2.30", "1mm2", 1)
                        .wire("K2.87", "E1.E", "1mm2", 1);

        lacks(wired, "K2", Lack.NEVER_FED, "K2.86");
        lacks(wired, "L1", Lack.NEVER_EARTHED, "L1.2");
        none(wired.wire("B1.+", "K1.86", "1mm2", 1), PathFinding.NeverWorks.class);
    }

    /** Without a battery nothing is said to be dead: it is not there yet. */
    @Test
    void withoutASourceNothingIsDead() {
        none(
                new DesignBuilder(12)
                        .earth("E1")
                        .onOff("S1", "light", 5)
                        .lamp("H1", 5)
                        .lamp("H2", 5)
                        .wire("S1.2", "H1.58", "1mm2", 1)
                        .wire("S1.1", "H2.58", "1mm2", 1),
                PathFinding.NeverWorks.class);
    }

    private static Kind box(IgnitionBox.Form form) {
        return new IgnitionBox(form, 4, new Ratio(0.4), new Amps(0.5));
    }

    private static Arguments want(Kind kind, String role, double volts, String feed, String back) {
        return Arguments.of(kind, role, volts, feed, back);
    }

    private static Stream<Arguments> wants() {
        var amps = new Amps(5);
        return Stream.of(
                want(new LoadKind.WarningLamp(new Watts(2.2), TWELVE), "1", 3.6, "1", "2"),
                want(new LoadKind.LedLamp(TWELVE, new Watts(3)), "body", 3.6, "+", "31"),
                want(new LoadKind.Buzzer(TWELVE, amps), "+", 3.6, "+", "31"),
                want(new LoadKind.Motor(amps, new Volts(24)), "body", 7.2, "+", "31"),
                want(
                        new LoadKind.WiperMotor("wiper", amps, TWELVE, Optional.empty()),
                        "body",
                        3.6,
                        "53",
                        "31"),
                want(new LoadKind.Starter(new Ohms(0.05), new Ohms(1)), "motor", 1.8, "30", "31"),
                want(
                        new LoadKind.IgnitionCoil(new Ohms(3), new Henries(0.01)),
                        "body",
                        2.4,
                        "15",
                        "1"),
                want(
                        new LoadKind.Load(new Demand.InAmps(amps), new Volts(6)),
                        "body",
                        1.8,
                        "+",
                        "31"),
                want(
                        new LoadKind.Heater(new Ohms(1), new Ohms(2), new Seconds(10)),
                        "body",
                        3.6,
                        "+",
                        "31"),
                want(new LoadKind.Voltmeter(new Volts(16)), "body", 3.6, "+", "31"),
                want(
                        new ControlKind.LatchingRelay(TWELVE, new Ohms(90), amps),
                        "set",
                        7.2,
                        "S",
                        "31"),
                want(new LoadKind.Gauge(new Ohms(60), new Amps(0.16)), "body", 0.96, "B", "T"),
                want(
                        new ControlKind.Relay(
                                TWELVE,
                                new Ohms(90),
                                new Ratio(0.6),
                                new Ratio(0.2),
                                new Amps(30),
                                Optional.empty()),
                        "coil",
                        7.2,
                        "86",
                        "85"),
                want(box(IgnitionBox.Form.TRANSISTOR), "rest", 3.6, "15", "31"),
                want(box(IgnitionBox.Form.DISCHARGE), "body", 3.6, "15", "31"));
    }

    /** Three tenths of its rated volts, and what else each kind has to get to be of use. */
    @ParameterizedTest
    @MethodSource("wants")
    void whatAPartWants(Kind kind, String role, double volts, String feed, String back) {
        var wired =
                DesignBuilder.twelveVolts().part("X1", kind).wire("B1.+", "X1." + feed, "1mm2", 1);

        assertThat(Wants.of(Assessment.of(wired.build())))
                .singleElement()
                .satisfies(want -> {
                    assertThat(want.role()).isEqualTo(role);
                    assertThat(want.volts()).isCloseTo(volts, within(1e-9));
                    assertThat(want.feed()).isEqualTo(feed);
                    assertThat(want.back()).isEqualTo(back);
                });
        var bare = DesignBuilder.twelveVolts().part("X1", kind).build();
        assertThat(Wants.of(Assessment.of(bare))).isEmpty();
    }

    @Test
    void aWantIsMetInAStateOrNot() {
        var design = relayed().build();
        var assessed = Assessment.of(design);
        var lamp =
                Wants.of(assessed).stream()
                        .filter(want -> want.part().id().equals(H1))
                        .findFirst()
                        .orElseThrow();
        var off = assessed.answers().demand(Conditions.REST).settled().orElseThrow();
        var on =
                assessed.answers()
                        .demand(Conditions.REST.with("light", "on"))
                        .settled()
                        .orElseThrow();

        assertThat(lamp.metIn(off)).isFalse();
        assertThat(lamp.metIn(on)).isTrue();
        assertThat(new Wants(lamp.part(), "none", 1, "58", "31").metIn(on)).isFalse();
    }

    /** The coil of a discharge box gets its pulses from the box, and wants nothing of its own. */
    @Test
    void theCoilOfADischargeBoxWantsNothing() {
        var coil = new LoadKind.IgnitionCoil(new Ohms(1.5), new Henries(0.004));
        for (var form : IgnitionBox.Form.values()) {
            var wired =
                    DesignBuilder.twelveVolts()
                            .part("T1", coil)
                            .mounted("U1", "E1", box(form))
                            .part("J1", new JoinKind.Splice())
                            .wire("B1.+", "J1.J", "1mm2", 1)
                            .wire("J1.J", "T1.15", "1mm2", 1)
                            .wire("J1.J", "U1.15", "1mm2", 1)
                            .wire("T1.1", "U1.1", "1mm2", 0.5);

            var wanting = Wants.of(Assessment.of(wired.build()));
            assertThat(wanting).extracting(want -> want.part().id().value()).contains("U1");
            assertThat(wanting)
                    .filteredOn(want -> want.part().id().equals(new PartId("T1")))
                    .extracting(Wants::volts)
                    .isEqualTo(
                            form == IgnitionBox.Form.TRANSISTOR ? List.of(0.02 * 12) : List.of());
        }
    }

    @Test
    void whatWorksUntilItsLeadIsTooLongAndThin() {
        comesWithALongLead(relayed(), "H1.58", PathFinding.NeverWorks.class);
    }
}
