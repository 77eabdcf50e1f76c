package aficion.check.finding;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.catalogue.Insulation;
import aficion.catalogue.WireSize;
import aficion.catalogue.Zone;
import aficion.check.earthing.WireReturnRule;
import aficion.check.function.BridgedRule;
import aficion.check.function.NeverWorksRule;
import aficion.check.function.TellTaleRule;
import aficion.check.ignition.CoilPostRule;
import aficion.check.ignition.PlugLeadRule;
import aficion.check.polarity.CrossedLeadsRule;
import aficion.check.polarity.FamilyRule;
import aficion.check.polarity.SuppressionRule;
import aficion.check.practice.FeedPostRule;
import aficion.check.sizing.OverloadRule;
import aficion.job.AnyJob;
import aficion.job.DesignBuilder;
import aficion.job.Laid;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.job.WireId;
import aficion.job.edit.WireEdit;
import aficion.quantity.Metres;
import aficion.route.RunLength;
import aficion.size.Assessment;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** A rule that found nothing is asked again as soon as it sees something else. */
class QuietTest {
    private static final Assessment SHORT =
            Assessment.of(
                    DesignBuilder.twelveVolts()
                            .onOff("S1", "light", 10)
                            .lamp("H1", 60)
                            .wire("B1.+", "S1.1", "1mm2", 1)
                            .wire("S1.2", "H1.58", "1mm2", 2)
                            .build());

    /** A wire that is longer, thicker, of another cover, and somewhere else. */
    private static final UnaryOperator<Wire> OTHER =
            wire ->
                    wire.withSize(new WireSize(WireSize.Standard.METRIC, "16"))
                            .withInsulation(Insulation.PTFE200)
                            .withLaid(
                                    new Laid.Stated(
                                            new RunLength.Measured(new Metres(33)), Zone.BULKHEAD));

    private static Assessment with(double metres) {
        return SHORT.after(
                new WireEdit.SetLength(new WireId("w3"), new RunLength.Measured(new Metres(metres)))
                        .apply(SHORT.design()));
    }

    private static int node(String terminal) {
        return SHORT.netlist().node(Terminal.parse(terminal).orElseThrow());
    }

    /** 37 mΩ beside 3 Ω leave the lamp more than 11 V, 90 m and 1.7 Ω less. */
    private static Object sight(Assessment assessment) {
        int lamp = node("H1.58");
        return Quiet.volts(
                assessment,
                List.of(
                        new Quiet.Across(0, lamp, 11),
                        new Quiet.Across(lamp, 0, 30),
                        new Quiet.Across(lamp, lamp, 1)));
    }

    @Test
    void itSeesOtherVoltsOnlyWhereTheyPassAMark() {
        assertThat(sight(with(2.5))).isEqualTo(sight(SHORT)).isEqualTo(sight(with(3)));
        assertThat(sight(with(90))).isNotEqualTo(sight(SHORT)).isEqualTo(sight(with(80)));
        var lost = List.of(new Quiet.Across(node("S1.2"), node("H1.58"), 2));
        assertThat(Quiet.volts(with(90), lost)).isNotEqualTo(Quiet.volts(SHORT, lost));
    }

    /**
     * Marks near and far, and wires cut a little and much otherwise, one after another and back.
     */
    @Test
    void whatIsToldWithoutLookingIsWhatIsSeen() {
        int lamp = node("H1.58");
        var asked =
                IntStream.range(0, 60)
                        .mapToObj(i -> new Quiet.Across(lamp, 0, 7 + 0.1 * i))
                        .toList();
        var last = SHORT;
        for (double metres : new double[] {2.01, 2.05, 2.3, 3, 2.4, 5, 9, 5.1, 20, 60, 20.4, 2}) {
            for (var now : List.of(with(metres), last.after(with(metres).design()))) {
                assertThat(Quiet.volts(now, asked))
                        .as("%s m", metres)
                        .isEqualTo(Quiet.volts(Assessment.of(now.design()), asked));
                last = now;
            }
        }
    }

    /** Wires cut otherwise by next to nothing: what keeps far from its mark is not looked at. */
    @Test
    void onlyWhatComesNearItsMarkIsLookedAtAgain() {
        int lamp = node("H1.58");
        var near = SHORT.worst().points().getLast();
        var marks =
                new Marks(
                        Past.of(SHORT),
                        List.of(
                                new Quiet.Across(lamp, 0, 6),
                                new Quiet.Across(lamp, 0, Math.abs(near.nodeVolts(lamp)))));
        assertThat(marks.reachedIn(with(2.001)))
                .hasValueSatisfying(reached -> {
                    assertThat(reached.getFirst()).isSameAs(marks.reached().getFirst());
                    assertThat(reached.getLast()).isNotSameAs(marks.reached().getLast());
                });
        assertThat(marks.reachedIn(with(90))).isEmpty();
    }

    /** The lamp is on in some states and off in others: they are not taken for each other. */
    @Test
    void itSeesWhichStateIsWhich() {
        var answers = new ArrayList<Integer>();
        for (int state = 0; state < SHORT.worst().points().size(); state++) {
            var asked = SHORT.worst().points().get(state);
            var sight =
                    Quiet.sight(
                            SHORT,
                            2,
                            (point, all, from) -> {
                                if (point == asked) {
                                    all.set(from + 1);
                                }
                            });
            assertThat(sight).isEqualTo(sight).isNotEqualTo(Quiet.sight(SHORT, 2, (_, _, _) -> {}));
            answers.add(sight.hashCode());
        }
        assertThat(answers).hasSizeGreaterThan(1).doesNotHaveDuplicates();
    }

    @Test
    void whatFoundNothingIsNotAskedAgainUntilItSeesSomethingElse() {
        var asked = new ArrayList<String>();
        var first = with(4);
        for (var sight : List.of("one", "one", "two", "two", "one")) {
            Quiet.found(
                    first,
                    NeverWorksRule.class,
                    sight,
                    0,
                    () -> {
                        asked.add(sight);
                        return 0;
                    });
        }
        assertThat(asked).containsExactly("one", "two", "one");
        assertThat(Quiet.found(with(5), NeverWorksRule.class, "one", 0, () -> 7)).isZero();
        assertThat(Quiet.found(with(5), TellTaleRule.class, "one", 0, () -> 7)).isEqualTo(7);
    }

    @Test
    void whatFoundSomethingIsAskedAgain() {
        for (int found = 1; found < 4; found++) {
            int now = found;
            assertThat(Quiet.found(with(6), TellTaleRule.class, "some", 0, () -> now))
                    .isEqualTo(now);
        }
    }

    /** Of what is thrown together at random, every wire cut and laid otherwise. */
    @Test
    void whatHeedsEndsAloneFindsAsMuchHoweverWiresAreCutAndLaid() {
        var rules =
                List.of(
                        new WireReturnRule(),
                        new BridgedRule(),
                        new CoilPostRule(),
                        new PlugLeadRule(),
                        new CrossedLeadsRule(),
                        new FamilyRule(),
                        new SuppressionRule(),
                        new FeedPostRule(),
                        new OverloadRule());
        int found = 0;
        for (long seed = 1; seed <= 60; seed++) {
            var design = AnyJob.of(seed);
            var begun = Assessment.of(design);
            var other = begun.after(design.withWires(design.wires().stream().map(OTHER).toList()));
            for (EndsRule rule : rules) {
                long now = rule.check(other).count();
                assertThat(rule.check(begun).count()).isEqualTo(now);
                found += now > 0 ? 1 : 0;
            }
        }
        assertThat(found).isGreaterThan(20);
    }
}
