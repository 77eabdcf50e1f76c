package aficion.check.protection;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.job.DesignBuilder;
import aficion.job.LoadKind;
import aficion.job.Unguarded;
import aficion.job.WireId;
import aficion.job.edit.WireEdit;
import aficion.netlist.Conditions;
import aficion.quantity.Amps;
import aficion.quantity.Metres;
import aficion.quantity.Ratio;
import aficion.quantity.Volts;
import aficion.route.RunLength;
import aficion.size.Assessment;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

/** What rushes and what shorts draw is kept over small edits, and never longer than it holds. */
class KeptTest {
    private static final int STEPS = 20;

    private static final Conditions ON = Conditions.REST.with("on", "on");

    /** A motor that starts with twelve times 3.5 A, behind a fuse. */
    private static DesignBuilder motor(double marking) {
        var motor =
                new LoadKind.Motor(
                        new Amps(3.5),
                        new Volts(12),
                        Optional.of(new Ratio(12)),
                        Optional.empty(),
                        Optional.empty());
        return DesignBuilder.twelveVolts()
                .fuse("F1", marking)
                .onOff("S1", "on", 40)
                .mounted("X1", "E1", motor)
                .wire("B1.+", "F1.1", "2.5mm2", 0.15)
                .stated(Unguarded.WITHIN_REACH)
                .wire("F1.2", "S1.1", "2.5mm2", 0.3)
                .wire("S1.2", "X1.+", "0.5mm2", 1);
    }

    /** A lead between two guards; over some way the first does not open on a short behind. */
    private static final DesignBuilder LEAD =
            new DesignBuilder(12)
                    .battery(0.006)
                    .fuse("F1", 40)
                    .fuse("F2", 10)
                    .load("X1", 2)
                    .wire("B1.-", "E1.E", "25mm2", 0.3)
                    .wire("B1.+", "F1.1", "4mm2", 0.15)
                    .stated(Unguarded.WITHIN_REACH)
                    .wire("F1.2", "F2.1", "2.5mm2", 0.2)
                    .wire("F2.2", "X1.+", "2.5mm2", 1);

    /** The same with a wire of another length. */
    private static Assessment with(Assessment before, String wire, double metres) {
        var length = new RunLength.Measured(new Metres(metres));
        return before.after(
                new WireEdit.SetLength(new WireId(wire), length).apply(before.design()));
    }

    /** There and back, in steps that are small at first. */
    private static void assertFoundAsFromNothing(
            DesignBuilder builder, String wire, Rule rule, double middle) {
        var begun = Assessment.of(builder.build());
        var last = begun;
        var isNothing = new HashSet<Boolean>();
        for (double step : new double[] {1.002, 1.02, 1.1}) {
            for (int i = 0; i <= 2 * STEPS; i++) {
                double metres = middle * Math.pow(step, STEPS - Math.abs(i - STEPS) - STEPS / 2.0);
                last = with(last, wire, metres);
                List<Finding> now = rule.check(last).toList();
                assertThat(rule.check(Assessment.of(last.design()))).containsExactlyElementsOf(now);
                assertThat(rule.check(with(begun, wire, metres))).containsExactlyElementsOf(now);
                isNothing.add(now.isEmpty());
            }
        }
        assertThat(isNothing).hasSize(2);
    }

    @Test
    void aRushIsFollowedAgainOnceMoreMayFlow() {
        assertFoundAsFromNothing(motor(5), "w4", new InrushRule(), 33.5);
    }

    @Test
    void aShortIsWorkedOutAgainOnceItMayDrawLess() {
        assertFoundAsFromNothing(LEAD, "w2", new GuardSizeRule(), 31.5);
    }

    private static boolean isWithstood(Assessment assessment) {
        var lasting = assessment.answers().demand(ON).settled().orElseThrow();
        return Withstood.of(assessment).isKnown(lasting);
    }

    private static boolean opensOne(Assessment assessment) {
        return Withstood.of(assessment).opened(assessment, ON).findAny().isPresent();
    }

    /** 40 A rush; four centimetres at 37 mΩ a metre are 60 mV then, a tenth of 1.2 V are 120. */
    @Test
    void aRushIsKnownWhileLittleIsOtherwise() {
        var begun = Assessment.of(motor(40).build());
        assertThat(isWithstood(begun)).isFalse();
        assertThat(opensOne(begun)).isFalse();
        assertThat(isWithstood(begun)).isTrue();
        assertThat(isWithstood(with(begun, "w4", 1.04))).isTrue();
        assertThat(isWithstood(with(begun, "w4", 1.3))).isFalse();
    }

    /** A fuse that just stands it, as a quarter smaller one would not. */
    @Test
    void aRushThatAGuardJustStandsIsNeverKnown() {
        var near = with(Assessment.of(motor(5).build()), "w4", 37);
        assertThat(opensOne(near)).isFalse();
        assertThat(isWithstood(near)).isFalse();
    }

    /** What two fuses share moves from one to the other by next to no volts. */
    @Test
    void aRushIsNotKnownOnceAnotherGuardTakesIt() {
        var shared =
                DesignBuilder.twelveVolts()
                        .fuse("F1", 20)
                        .fuse("F2", 20)
                        .onOff("S1", "on", 40)
                        .lamp("H1", 12)
                        .wire("B1.+", "F1.1", "2.5mm2", 0.1)
                        .wire("B1.+", "F2.1", "2.5mm2", 0.1)
                        .wire("F1.2", "S1.1", "2.5mm2", 0.1)
                        .wire("F2.2", "S1.1", "2.5mm2", 0.1)
                        .wire("S1.2", "H1.58", "1mm2", 1);
        var begun = Assessment.of(shared.build());
        assertThat(opensOne(begun)).isFalse();
        assertThat(isWithstood(with(begun, "w4", 0.12))).isTrue();
        assertThat(isWithstood(with(begun, "w4", 1))).isFalse();
    }

    /** How often the short of a lead is worked out. */
    private static int worked(Assessment assessment) {
        var asked = new AtomicInteger();
        assessment.shorted(
                assessment.design().wire(new WireId("w3")),
                () -> {
                    asked.incrementAndGet();
                    return assessment.answers().solver();
                },
                new Amps(80));
        return asked.get();
    }

    /** Some 600 A: ten centimetres at 4.6 mΩ a metre are a quarter of a volt, a metre is 2.8. */
    @Test
    void aShortIsKnownWhileItDrawsFarMoreAndLittleIsOtherwise() {
        var begun = Assessment.of(LEAD.build());
        assertThat(worked(begun)).isOne();
        assertThat(worked(begun)).isZero();
        assertThat(worked(with(begun, "w2", 0.25))).isZero();
        assertThat(worked(with(begun, "w2", 1.15))).isOne();
        var weak = with(begun, "w2", 29);
        assertThat(worked(weak)).isOne();
        assertThat(worked(weak)).isOne();
    }
}
