package aficion.solve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.catalogue.WireSize;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.edit.WireEdit;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import org.junit.jupiter.api.Test;

/** What is answered once, and what of it still holds after an edit. */
class AnswersTest {
    private static final Design BUZZING = DesignBuilder.buzzing().build();

    private static final Design RESIZED =
            new WireEdit.Resize(BUZZING.wires().get(1).id(), WireSize.parse("25mm2").orElseThrow())
                    .apply(BUZZING);

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
        var thinner =
                new WireEdit.Resize(
                                RESIZED.wires().get(3).id(), WireSize.parse("2.5mm2").orElseThrow())
                        .apply(RESIZED);
        var now = ((Outcome.Solved) after(answers, thinner).demand(Conditions.REST)).point();
        var fresh =
                ((Outcome.Solved) new Solver(Netlist.of(thinner)).demand(Conditions.REST)).point();
        var lead = thinner.wires().get(3);

        assertThat(now.isSameAs(before)).isFalse();
        assertThat(now.through(lead).value()).isCloseTo(fresh.through(lead).value(), within(1e-6));
    }
}
