package aficion.solve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.catalogue.WireSize;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.JoinKind;
import aficion.job.WireId;
import aficion.job.edit.WireEdit;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.Metres;
import aficion.quantity.Ohms;
import aficion.route.RunLength;
import java.util.ArrayList;
import org.junit.jupiter.api.Test;

/** What is answered once, and what of it still holds after an edit. */
class AnswersTest {
    private static final Design BUZZING = DesignBuilder.buzzing().build();

    private static final Design RESIZED = resized(BUZZING, BUZZING.wires().get(1).id(), "25mm2");

    private static Design resized(Design design, WireId wire, String size) {
        return new WireEdit.Resize(wire, WireSize.parse(size).orElseThrow()).apply(design);
    }

    private static Design measured(Design design, WireId wire, double metres) {
        return new WireEdit.SetLength(wire, new RunLength.Measured(new Metres(metres)))
                .apply(design);
    }

    private static Answers after(Answers answers, Design next) {
        return answers.of(answers.netlist().with(next).orElseThrow());
    }

    @Test
    void aStateIsAnsweredOnce() {
        var answers = new Answers(Netlist.of(RESIZED));

        assertThat(answers.demand(Conditions.REST)).isSameAs(answers.demand(Conditions.REST));
    }

    /** 1.1 ohms before 0.2 leave 2 V, less than the relay lets go at; 21 milliohms do not. */
    @Test
    void whatFoundNoRestIsTriedAnew() {
        var answers = new Answers(Netlist.of(BUZZING));
        assertThat(answers.demand(Conditions.REST)).isInstanceOf(Outcome.Chattering.class);
        var mended = after(answers, RESIZED);

        assertThat(mended.demand(Conditions.REST)).isInstanceOf(Outcome.Solved.class);
        var back = after(mended, BUZZING);
        assertThat(back.demand(Conditions.REST)).isInstanceOf(Outcome.Chattering.class);
    }

    /** A wire that carries the load is worked out anew, to what a new solver finds. */
    @Test
    void whatCarriesIsWorkedOutAnew() {
        var answers = new Answers(Netlist.of(RESIZED));
        var before = ((Outcome.Solved) answers.demand(Conditions.REST)).point();
        var thinner = resized(RESIZED, RESIZED.wires().get(3).id(), "2.5mm2");
        var now = ((Outcome.Solved) after(answers, thinner).demand(Conditions.REST)).point();
        var fresh =
                ((Outcome.Solved) new Solver(Netlist.of(thinner)).demand(Conditions.REST)).point();
        var lead = thinner.wires().get(3);

        assertThat(now.isSameAs(before)).isFalse();
        assertThat(now.through(lead).value()).isCloseTo(fresh.through(lead).value(), within(1e-6));
    }

    /** 5 A through 25 mm²: a tenth of a millimetre more takes 0.4 µV; the third is one too many. */
    @Test
    void whatHardlyChangesStaysUntilItAddsUp() {
        var feed = new WireId("w2");
        var design =
                DesignBuilder.twelveVolts().load("X1", 5).wire("B1.+", "X1.+", "25mm2", 1).build();
        var answers = new Answers(Netlist.of(design));
        var first = answers.demand(Conditions.REST).settled().orElseThrow();
        var solved = answers.solve(Conditions.REST).settled().orElseThrow();
        var same = new ArrayList<Boolean>();
        for (int i = 1; i <= 4; i++) {
            design = measured(design, feed, 1 + i * 1e-4);
            answers = after(answers, design);
            var now = answers.demand(Conditions.REST).settled().orElseThrow();
            same.add(now.isSameAs(first));
            assertThat(answers.solve(Conditions.REST).settled().orElseThrow().isSameAs(solved))
                    .isEqualTo(now.isSameAs(first));
            assertThat(now.netlist().design()).isSameAs(design);
        }
        assertThat(same).containsExactly(true, true, false, false);
    }

    /** What a changed wire has no part in stays; all else is what a new solver finds. */
    @Test
    void whatAWireHasNoPartInStays() {
        var design =
                DesignBuilder.twelveVolts()
                        .onOff("S1", "fan", 20)
                        .relay("K1")
                        .load("X1", 9)
                        .lamp("H1", 21)
                        .wire("B1.+", "S1.1", "1mm2", 1)
                        .wire("S1.2", "K1.86", "1mm2", 1)
                        .wire("K1.85", "E1.E", "1mm2", 1)
                        .wire("B1.+", "K1.30", "2.5mm2", 1)
                        .wire("K1.87", "X1.+", "1.5mm2", 3)
                        .wire("B1.+", "H1.58", "1mm2", 2)
                        .build();
        var on = Conditions.REST.with("fan", "on");
        var answers = new Answers(Netlist.of(design));
        var rest = answers.demand(Conditions.REST).settled().orElseThrow();
        var running = answers.demand(on).settled().orElseThrow();
        for (var size : new String[] {"2.5mm2", "0.5mm2", "4mm2"}) {
            design = resized(design, new WireId("w6"), size);
            answers = after(answers, design);
            var now = answers.demand(on).settled().orElseThrow();
            var fresh = new Solver(Netlist.of(design)).demand(on).settled().orElseThrow();

            assertThat(answers.demand(Conditions.REST).settled().orElseThrow().isSameAs(rest))
                    .isTrue();
            assertThat(now.isSameAs(running)).isFalse();
            assertThat(now.pulled(0)).isTrue();
            for (var wire : design.wires()) {
                assertThat(now.through(wire).value())
                        .isCloseTo(fresh.through(wire).value(), within(1e-7));
            }
        }
    }

    /**
     * 90 of 156 ohms leave the relay 7.33 V, 90 of 160 only 7.16: it would stay in, but never pulls
     * in.
     */
    @Test
    void whatWouldStayInIsLookedForFromRest() {
        var design =
                DesignBuilder.twelveVolts()
                        .relay("K1")
                        .part("R1", new JoinKind.Resistor(new Ohms(66)))
                        .wire("B1.+", "R1.1", "0.5mm2", 1)
                        .wire("R1.2", "K1.86", "0.5mm2", 1)
                        .wire("K1.85", "E1.E", "1mm2", 1)
                        .build();
        var answers = new Answers(Netlist.of(design));
        var before = answers.demand(Conditions.REST).settled().orElseThrow();
        assertThat(before.pulled(0)).isTrue();

        var in = after(answers, measured(design, new WireId("w2"), 20)).demand(Conditions.REST);
        assertThat(in.settled().orElseThrow().pulled(0)).isTrue();
        assertThat(in.settled().orElseThrow().isSwitchedAs(before)).isTrue();
        var out = after(answers, measured(design, new WireId("w2"), 99)).demand(Conditions.REST);
        assertThat(out.settled().orElseThrow().pulled(0)).isFalse();
        assertThat(out.settled().orElseThrow().isSwitchedAs(before)).isFalse();
    }

    /** A lamp alone, and with a lead to nowhere joined: what one takes now the other takes. */
    @Test
    void whatSharesAllThatIsLiveIsTheSame() {
        var design =
                DesignBuilder.twelveVolts()
                        .onOff("S1", "spare", 10)
                        .lamp("H1", 21)
                        .wire("B1.+", "H1.58", "1mm2", 2)
                        .wire("H1.58", "S1.1", "1mm2", 1)
                        .build();
        var joined = Conditions.REST.with("spare", "on");
        var answers = new Answers(Netlist.of(design));
        answers.demand(Conditions.REST);
        answers.demand(joined);
        for (var size : new String[] {"1.5mm2", "2.5mm2"}) {
            design = resized(design, new WireId("w2"), size);
            answers = after(answers, design);
            var bare = answers.demand(Conditions.REST).settled().orElseThrow();
            var like = answers.demand(joined).settled().orElseThrow();
            var fresh = new Solver(Netlist.of(design)).demand(joined).settled().orElseThrow();
            for (int node = 0; node < fresh.netlist().nodes(); node++) {
                assertThat(like.nodeVolts(node)).isCloseTo(fresh.nodeVolts(node), within(1e-7));
            }
            assertThat(like.branchAmps(2)).isEqualTo(bare.branchAmps(2));
            assertThat(like.conditions()).isEqualTo(joined);
        }
    }
}
