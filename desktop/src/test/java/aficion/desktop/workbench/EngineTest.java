package aficion.desktop.workbench;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.files.DemoJobs;
import aficion.netlist.Conditions;
import aficion.words.Words;
import java.util.ArrayList;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class EngineTest {
    private static final class Silent implements Engine.Told {
        @Override
        public void answered(Question question) {
            throw new IllegalStateException("answered " + question);
        }

        @Override
        public void failed(Question question, Throwable why) {
            throw new IllegalStateException("failed " + question);
        }
    }

    /** A window that closes may still be told of what it asked for, and asks on. */
    @Test
    void aClosedEngineTakesQuestionsAndAnswersNone() {
        var design = DemoJobs.find("motorcycle").orElseThrow().design();
        var answers = new ArrayList<Object>();
        var engine = new Engine(new Silent());

        engine.close();
        engine.ask(
                Question.POINT, hand -> hand.solver(design).solve(Conditions.REST), answers::add);
        engine.insist(Question.ASSESSMENT, hand -> hand.assessment(design), answers::add);

        assertThat(answers).isEmpty();
    }

    /** Whatever is asked has words to say that it failed. */
    @ParameterizedTest
    @EnumSource
    void everyQuestionHasItsWords(Question question) {
        assertThat(Words.find("asked." + question)).isPresent();
    }
}
