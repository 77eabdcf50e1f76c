package aficion.bench.reason;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.fault.Fault;
import aficion.fault.Notation;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.WireId;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Bayes' rule, worked out again for every suspect: a lamp behind a fuse and a switch. */
class BeliefTest {
    private static final Design DESIGN =
            DesignBuilder.twelveVolts()
                    .fuse("F1", 10)
                    .onOff("S1", "light", 10)
                    .lamp("H1", 21)
                    .wire("B1.+", "F1.1", "2.5mm2", 0.1)
                    .wire("F1.2", "S1.1", "1mm2", 1)
                    .wire("S1.2", "H1.58", "1mm2", 1)
                    .build();
    private static final CircuitId CIRCUIT = new CircuitId("1");
    private static final FaultTable TABLE = FaultTable.of(Netlist.of(DESIGN), CIRCUIT);
    private static final Conditions ON = Conditions.REST.with("light", "on");
    private static final PartId LAMP = new PartId("H1");
    private static final double SLIP = 0.01 / (1.5 * 12);

    private static Reading volts(String at, double value) {
        return new Reading(ON, new Measure.VoltsAt(Terminal.parse(at).orElseThrow()), value);
    }

    private static Reading told(Telltale what, boolean so) {
        return new Reading(ON, new Measure.Told(what), so ? 1 : 0);
    }

    /** Each suspect by how often it is, times the likelihood of what was read; together one. */
    private static void assertWeights(Belief belief, Reading reading, DoubleUnaryOperator likely) {
        var predicted = TABLE.predicted(reading.state(), reading.what());
        var wanted =
                IntStream.range(0, predicted.length)
                        .mapToDouble(i ->
                                TABLE.suspects().get(i).weight()
                                        * likely.applyAsDouble(predicted[i]))
                        .toArray();
        double sum = IntStream.range(0, wanted.length).mapToDouble(i -> wanted[i]).sum();
        for (int i = 0; i < wanted.length; i++) {
            assertThat(belief.weights()[i])
                    .as(TABLE.suspects().get(i).toString())
                    .isCloseTo(wanted[i] / sum, within(1e-12));
        }
    }

    private static double normal(double off, double apart) {
        return Math.exp(-apart * apart / (2 * off * off)) / (off * Math.sqrt(2 * Math.PI));
    }

    private static Belief after(Reading reading) {
        return Belief.of(TABLE).after(reading);
    }

    /** 60 mV and 1.2 % are what a meter and a vehicle are off; one in a hundred is a slip. */
    @Test
    void volts() {
        for (double value : new double[] {12.55, 11.2, 0, 6}) {
            var reading = volts("H1.58", value);
            assertWeights(
                    after(reading),
                    reading,
                    predicted ->
                            0.99 * normal(Math.hypot(0.06, 0.012 * predicted), value - predicted)
                                    + SLIP);
        }
    }

    /** Of amps 60 mA and 4.8 %. */
    @Test
    void amps() {
        var reading = new Reading(ON, new Measure.AmpsIn(new WireId("w2")), 1.4);
        assertWeights(
                after(reading),
                reading,
                predicted ->
                        0.99 * normal(Math.hypot(0.06, 0.048 * predicted), 1.4 - predicted) + SLIP);
    }

    /** An eye is right in 93 of a hundred, and off by one step in five. */
    @Test
    void light() {
        var dim = new Reading(ON, new Measure.LightOf(LAMP, "58"), Sight.DIM.share());
        assertWeights(
                after(dim),
                dim,
                predicted ->
                        switch (Sight.of(predicted)) {
                            case DIM -> 0.93;
                            case DARK, RIGHT -> 0.05;
                            case BRIGHT -> 0.01;
                        });
    }

    /** Of a fuse 998 in a thousand are right; of moving 85 in a hundred; else 96. */
    @Test
    void whatIsSo() {
        var gone = new Telltale.FuseGone(new Conditions.FuseSeat(new PartId("F1"), ""));
        for (boolean so : new boolean[] {true, false}) {
            assertTold(gone, so, 0.998);
            assertTold(new Telltale.Moves(LAMP), so, 0.85);
            assertTold(new Telltale.Warms(LAMP), so, 0.85);
            assertTold(new Telltale.Loads(), so, 0.85);
            assertTold(new Telltale.Warm(new WireId("w4")), so, 0.96);
            assertTold(new Telltale.AsDrawn(CIRCUIT), so, 0.96);
            assertTold(new Telltale.Restless(), so, 0.998);
        }
    }

    private static void assertTold(Telltale what, boolean so, double right) {
        var reading = told(what, so);
        assertWeights(
                after(reading),
                reading,
                predicted -> predicted == reading.value() ? right : 1 - right);
    }

    /** Of what comes and goes half of all readings show none of it, but those that provoke it. */
    @Test
    void whatComesAndGoes() {
        var reading = volts("H1.58", 0);
        double sound = TABLE.predicted(ON, reading.what())[0];
        var comes = Belief.of(TABLE, new Evidence(List.of(reading), true));
        DoubleUnaryOperator stays =
                predicted -> 0.99 * normal(Math.hypot(0.06, 0.012 * predicted), predicted) + SLIP;
        assertWeights(
                comes,
                reading,
                predicted -> (stays.applyAsDouble(predicted) + stays.applyAsDouble(sound)) / 2);
        assertThat(comes.comesAndGoes()).isTrue();
        assertThat(after(reading).comesAndGoes()).isFalse();
        var moves = told(new Telltale.Moves(LAMP), true);
        assertWeights(
                Belief.of(TABLE, new Evidence(List.of(moves), true)),
                moves,
                predicted -> predicted == 1 ? 0.85 : 1 - 0.85);
    }

    /** What a perfect reading would fit is no misfit; a slip costs about ten. */
    @Test
    void howBadlyTheBestFits() {
        double sound = TABLE.predicted(ON, volts("H1.58", 0).what())[0];

        assertThat(Belief.of(TABLE).misfit()).isZero();
        assertThat(after(volts("H1.58", sound)).misfit()).isCloseTo(0, within(1e-9));
        assertThat(after(volts("H1.58", 30)).misfit()).isBetween(6.0, 9.0);
        var twice = after(volts("H1.58", 30)).after(volts("S1.2", 30));
        assertThat(twice.misfit()).isBetween(12.0, 18.0);
        assertThat(after(volts("H1.58", 0)).against(0, volts("H1.58", 0))).isZero();
        assertThat(after(volts("H1.58", 0)).against(12, volts("H1.58", 0))).isGreaterThan(6);
        var comes = Belief.of(TABLE, new Evidence(List.of(volts("H1.58", 0)), true));
        assertThat(comes.misfit()).isCloseTo(0, within(1e-3));
    }

    /** Those that look the same together, the likeliest first; together one. */
    @Test
    void verdictsAreInOrder() {
        var belief = after(volts("S1.2", 12.6)).after(volts("H1.58", 0));
        var verdicts = belief.verdicts();

        assertThat(verdicts)
                .extracting(Belief.Verdict::weight)
                .isSortedAccordingTo(Comparator.reverseOrder());
        assertThat(verdicts.stream().mapToDouble(Belief.Verdict::weight).sum())
                .isCloseTo(1, within(1e-9));
        assertThat(verdicts.stream().mapToInt(each -> each.suspects().size()).sum())
                .isEqualTo(TABLE.suspects().size());
        assertThat(verdicts.getFirst().suspects())
                .extracting(Suspect::faults)
                .contains(List.of(new Fault.Broken(new WireId("w4"))));
        assertThat(verdicts.getFirst().speaks())
                .extracting(Belief.Speaks::reading)
                .contains(volts("H1.58", 0));
        for (var verdict : verdicts) {
            assertThat(verdict.speaks())
                    .hasSizeLessThanOrEqualTo(3)
                    .allMatch(speaks -> Math.abs(speaks.tells()) > 0.7)
                    .extracting(speaks -> Math.abs(speaks.tells()))
                    .isSortedAccordingTo(Comparator.reverseOrder());
        }
        assertThat(belief.living()).isLessThan(Belief.of(TABLE).living());
        assertThat(Belief.of(TABLE).living()).isEqualTo(TABLE.suspects().size());
    }

    /** Named is what is 95 % sure; that nothing is wrong only from 98.5 on. */
    @Test
    void whatIsNamed() {
        var suspect = TABLE.suspects().get(1);
        assertThat(named(0.95, suspect, true)).isTrue();
        assertThat(named(0.949, suspect, true)).isFalse();
        assertThat(named(0.99, suspect, false)).isFalse();
        assertThat(named(0.985, Suspect.NOTHING, true)).isTrue();
        assertThat(named(0.984, Suspect.NOTHING, true)).isFalse();
    }

    private static boolean named(double weight, Suspect suspect, boolean explained) {
        var verdict = new Belief.Verdict(weight, List.of(suspect), List.of());
        return new Diagnosis(1, List.of(verdict), Optional.empty(), Optional.empty(), explained)
                .named()
                .isPresent();
    }

    private static NextReading.Advice next(Belief belief, Conditions now) {
        return NextReading.of(belief, now).orElseThrow();
    }

    /** What it tells is the entropy of what may be read, in bits; the likeliest comes first. */
    @Test
    void whatTheNextReadingTells() {
        for (var belief : List.of(Belief.of(TABLE), after(volts("H1.58", 0)))) {
            var next = next(belief, ON);
            double bits =
                    next.outcomes().stream()
                            .mapToDouble(NextReading.Outcome::weight)
                            .map(share -> -share * Math.log(share) / Math.log(2))
                            .sum();

            assertThat(next.bits()).isCloseTo(bits, within(1e-9));
            assertThat(next.outcomes())
                    .extracting(NextReading.Outcome::weight)
                    .isSortedAccordingTo(Comparator.reverseOrder());
            var what = new Measure.VoltsAt(next.at());
            assertThat(next.expected().value()).isEqualTo(TABLE.predicted(next.state(), what)[0]);
            assertThat(next.tolerance()).isEqualTo(TABLE.near(what, next.expected().value()));
            for (var outcome : next.outcomes()) {
                assertThat(Arrays.stream(TABLE.predicted(next.state(), what)).boxed())
                        .anyMatch(volts ->
                                Math.abs(volts - outcome.volts().orElseThrow().value()) < 0.6);
            }
        }
    }

    /** What was read in a state is not read there again, and what tells nothing never. */
    @Test
    void nothingIsReadTwice() {
        var belief = Belief.of(TABLE);
        for (int i = 0; i < 30; i++) {
            var next = NextReading.of(belief, ON);
            if (next.isEmpty()) {
                break;
            }
            var what = new Measure.VoltsAt(next.get().at());
            var reading = new Reading(next.get().state(), what, next.get().expected().value());
            assertThat(belief.readings())
                    .noneMatch(each ->
                            each.state().equals(reading.state())
                                    && each.what().equals(reading.what()));
            belief = belief.after(reading);
        }
        assertThat(belief.readings()).hasSizeBetween(2, 12);
    }

    /** Of two that tell the same the one is read that moves nothing and is at hand. */
    @Test
    void whatIsAtHandIsReadFirst() {
        var known = List.of("2=open", "3=open");
        var suspects =
                known.stream()
                        .map(text -> Notation.parse(TABLE.netlist(), text).orElseThrow())
                        .map(fault -> new Suspect(List.of(fault), 1))
                        .toList();
        var table = TABLE.of(suspects, () -> true);
        var off = next(Belief.of(table), Conditions.REST.with("light", "off"));
        var on = next(Belief.of(table), ON);

        assertThat(off.state()).isEqualTo(Conditions.REST.with("light", "off"));
        assertThat(on.state()).isEqualTo(ON);
        assertThat(off.at()).hasToString("F1.1");
        assertThat(off.bits()).isCloseTo(1, within(1e-9));
        assertThat(off.outcomes())
                .extracting(NextReading.Outcome::weight)
                .allSatisfy(share -> assertThat(share).isCloseTo(0.5, within(1e-9)));
        assertThat(off.outcomes()).extracting(NextReading.Outcome::suspects).containsExactly(1, 1);
    }
}
