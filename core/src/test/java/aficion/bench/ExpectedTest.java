package aficion.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import aficion.bench.practice.Difficulty;
import aficion.bench.practice.Played;
import aficion.bench.reason.Sign;
import aficion.job.BenchRun;
import aficion.job.BenchRun.Reading;
import aficion.job.BenchRun.Verdict;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.WireId;
import aficion.netlist.Conditions;
import aficion.netlist.Conditions.FuseSeat;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Unit;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What a reading should be, how it is judged at its very limits, and what it is held against. */
class ExpectedTest {
    private static final Expected NEAR = new Expected.Near(new Volts(12), 0.5);
    private static final Expected MOST = new Expected.AtMost(new Ohms(2));
    private static final Expected LEAST = new Expected.AtLeast(new Ohms(10));
    private static final Expected BETWEEN = new Expected.Between(new Volts(10), new Volts(20));
    private static final Expected OPENS =
            new Expected.Opens(Optional.of(new FuseSeat(new PartId("F1"), "")), new Amps(40));
    private static final Terminal AT = Terminal.parse("H2.58").orElseThrow();

    private static List<Verdict> judged(Expected expected, double... readings) {
        return Arrays.stream(readings).mapToObj(expected::judge).toList();
    }

    @Test
    void theLimitsThemselvesPass() {
        assertThat(judged(NEAR, 12.5, 11.5, 12.51, 13, 11, 13.01))
                .containsExactly(
                        Verdict.PASS,
                        Verdict.PASS,
                        Verdict.NEAR,
                        Verdict.NEAR,
                        Verdict.NEAR,
                        Verdict.FAIL);
        assertThat(judged(MOST, 2, 2.1, 4, 4.1))
                .containsExactly(Verdict.PASS, Verdict.NEAR, Verdict.NEAR, Verdict.FAIL);
        assertThat(judged(LEAST, 10, 9.9, 5, 4.9))
                .containsExactly(Verdict.PASS, Verdict.NEAR, Verdict.NEAR, Verdict.FAIL);
        assertThat(judged(BETWEEN, 10, 20, 9.81, 9.79, 20.39, 20.41))
                .containsExactly(
                        Verdict.PASS,
                        Verdict.PASS,
                        Verdict.NEAR,
                        Verdict.FAIL,
                        Verdict.NEAR,
                        Verdict.FAIL);
        assertThat(OPENS.judge(40)).isEqualTo(Verdict.FAIL);
    }

    @Test
    void theFigureAndHowFarOffItMayBe() {
        assertThat(NEAR.figure()).contains(12.0);
        assertThat(NEAR.tolerated()).contains(0.5);
        assertThat(BETWEEN.figure()).contains(15.0);
        assertThat(BETWEEN.tolerated()).contains(5.0);
        assertThat(MOST.figure()).contains(2.0);
        assertThat(LEAST.figure()).contains(10.0);
        assertThat(MOST.tolerated()).isEmpty();
        assertThat(LEAST.tolerated()).isEmpty();
        assertThat(OPENS.figure()).isEmpty();
        assertThat(OPENS.tolerated()).isEmpty();
        assertThat(OPENS.unit()).isEqualTo(Unit.AMPERE);
        assertThat(List.of(NEAR.unit(), BETWEEN.unit())).containsOnly(Unit.VOLT);
        assertThat(List.of(MOST.unit(), LEAST.unit())).containsOnly(Unit.OHM);
    }

    /** What must not be tried cannot have been right; all else is as it is said to be. */
    @Test
    void whatIsOnlySaid() {
        for (var verdict : Verdict.values()) {
            assertThat(NEAR.said(verdict)).isEqualTo(verdict);
            assertThat(OPENS.said(verdict))
                    .isEqualTo(verdict == Verdict.FAIL ? Verdict.FAIL : Verdict.NOT_TESTED);
        }
    }

    @Test
    void aBandHasItsLeastFirst() {
        assertThat(new Expected.Between(new Volts(3), new Volts(3)).judge(3))
                .isEqualTo(Verdict.PASS);
        assertThatThrownBy(() -> new Expected.Between(new Volts(4), new Volts(3)))
                .hasMessageContaining("is not below");
        assertThatThrownBy(() -> new Expected.Between(new Volts(3), new Amps(4)))
                .isInstanceOf(IllegalArgumentException.class);
    }

    /** Where each step is done, and how everything is to stand. */
    @Test
    void whereAStepIsDone() {
        var wire = new WireId("w1");
        var part = new PartId("H2");
        var on = Conditions.REST.with("light", "on");
        var sign = new Sign(part, "58", Sign.Look.BURNS);
        var lamp = new StandIns.StandIn(part, "58", new Watts(21));
        var ofWire = new TestStep.Subject.OfWire(wire);
        var ofPart = new TestStep.Subject.OfPart(part);
        var ofTerminal = new TestStep.Subject.OfTerminal(AT);

        assertThat(
                        List.of(
                                new TestStep.Look(wire),
                                new TestStep.Continuity(wire),
                                new TestStep.Quiet(wire, on),
                                new TestStep.AmpsIn(wire, on)))
                .extracting(TestStep.Task::about)
                .containsOnly(ofWire);
        assertThat(
                        List.of(
                                new TestStep.LookAt(part),
                                new TestStep.Works(List.of(sign), on),
                                new TestStep.Check(TestStep.Topic.RATIO, part, on),
                                new TestStep.Leave(List.of(part)),
                                new TestStep.ClipIn(List.of(lamp))))
                .extracting(TestStep.Task::about)
                .containsOnly(ofPart);
        assertThat(
                        List.of(
                                new TestStep.Isolation(AT),
                                new TestStep.VoltsAt(AT, on),
                                new TestStep.Through(List.of(wire), AT, AT, on)))
                .extracting(TestStep.Task::about)
                .containsOnly(ofTerminal);
        assertThat(
                        List.of(
                                new TestStep.Quiet(wire, on),
                                new TestStep.AmpsIn(wire, on),
                                new TestStep.VoltsAt(AT, on),
                                new TestStep.Works(List.of(sign), on),
                                new TestStep.Through(List.of(wire), AT, AT, on),
                                new TestStep.Check(TestStep.Topic.AIR, part, on)))
                .extracting(TestStep.Task::state)
                .containsOnly(Optional.of(on));
        assertThat(
                        List.of(
                                new TestStep.Look(wire),
                                new TestStep.LookAt(part),
                                new TestStep.Continuity(wire),
                                new TestStep.Isolation(AT),
                                new TestStep.Leave(List.of(part)),
                                new TestStep.ClipIn(List.of(lamp)),
                                new TestStep.Through(List.of(wire), AT, AT, Conditions.REST)))
                .extracting(TestStep.Task::state)
                .containsOnly(Optional.empty());
    }

    private static String against(TestStep.Task task, Optional<Expected> expected) {
        return Against.of(
                SmallCar.DESIGN, new TestStep("k", TestStep.Stage.STATES, task, expected));
    }

    private static String against(TestStep.Task task) {
        return against(task, Optional.empty());
    }

    /** A figure as a number, a band as two, what is looked at as what is there. */
    @Test
    void whatAReadingIsHeldAgainst() {
        var part = new PartId("H2");
        var volts = new TestStep.VoltsAt(AT, Conditions.REST);
        var lead = "w10/1.5mm2/S2.2/H2.58";

        assertThat(against(volts, Optional.of(NEAR))).isEqualTo("12.0");
        assertThat(against(volts, Optional.of(MOST))).isEqualTo("2.0");
        assertThat(against(volts, Optional.of(LEAST))).isEqualTo("10.0");
        assertThat(against(volts, Optional.of(BETWEEN))).isEqualTo("10.0 to 20.0");
        assertThat(against(volts, Optional.of(OPENS))).isEqualTo("opens F1");
        assertThat(against(volts)).isEmpty();
        assertThat(against(new TestStep.Look(new WireId("w10")))).isEqualTo(lead);
        assertThat(against(new TestStep.LookAt(part))).isEqualTo(lead);
        assertThat(against(new TestStep.Check(TestStep.Topic.AIR, part, Conditions.REST)))
                .isEqualTo(lead);
        assertThat(against(new TestStep.LookAt(new PartId("S2"))))
                .isEqualTo(lead + " w9/2.5mm2/F1.2/S2.1");
        assertThat(against(new TestStep.Leave(List.of(part, new PartId("S5"))))).isEqualTo("H2 S5");
        assertThat(
                        against(
                                new TestStep.ClipIn(
                                        List.of(new StandIns.StandIn(part, "58", new Watts(21))))))
                .startsWith("H2.58=");
        assertThat(
                        against(
                                new TestStep.Works(
                                        List.of(new Sign(part, "58", Sign.Look.BURNS)),
                                        Conditions.REST)))
                .isEqualTo("H2.58=BURNS");
    }

    /** Figures within a fiftieth, and 0.02, are the same: 12 and 12.25, but not 12.3. */
    @Test
    void aReadingIsStaleWhereTheFigureIsAnother() {
        assertThat(stale("12.0")).isFalse();
        assertThat(stale("12.25")).isFalse();
        assertThat(stale("11.75")).isFalse();
        assertThat(stale("12.3")).isTrue();
        assertThat(stale("11.7")).isTrue();
        assertThat(stale("")).isTrue();
        assertThat(stale("opens F1")).isTrue();
        assertThat(
                        Against.isStale(
                                SmallCar.DESIGN,
                                step(),
                                new Reading("k", Optional.of(1.0), Verdict.PASS, Instant.EPOCH)))
                .isFalse();
    }

    private static TestStep step() {
        return new TestStep(
                "k",
                TestStep.Stage.STATES,
                new TestStep.VoltsAt(AT, Conditions.REST),
                Optional.of(NEAR));
    }

    private static boolean stale(String then) {
        return Against.isStale(
                SmallCar.DESIGN,
                step(),
                new BenchRun.Reading(
                        "k",
                        Optional.empty(),
                        Optional.of(then),
                        Verdict.PASS,
                        Instant.EPOCH,
                        Optional.empty()));
    }

    /** A round takes no less than nothing. */
    @Test
    void aRoundThatIsKept() {
        assertThat(played(0, 0, 0).minutes()).isCloseTo(0, within(0.0));
        for (double minutes : new double[] {-0.1, Double.NaN, Double.POSITIVE_INFINITY}) {
            assertThatThrownBy(() -> played(minutes, 0, 0)).hasMessageContaining("no less than");
        }
        assertThatThrownBy(() -> played(1, -1, 0)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> played(1, 0, -1)).isInstanceOf(IllegalArgumentException.class);
    }

    private static Played played(double minutes, int acts, int guesses) {
        return new Played(
                Instant.EPOCH, "car", "lights", Difficulty.EASY, minutes, acts, guesses, true);
    }
}
