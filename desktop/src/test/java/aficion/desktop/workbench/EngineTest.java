package aficion.desktop.workbench;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.files.DemoJobs;
import aficion.netlist.Conditions;
import java.util.ArrayList;
import org.junit.jupiter.api.Test;

class EngineTest {
    /** A window that closes may still be told of what it asked for, and asks on. */
    @Test
    void aClosedEngineTakesQuestionsAndAnswersNone() {
        var job = DemoJobs.find("motorcycle").orElseThrow();
        var answers = new ArrayList<Object>();
        var engine = new Engine();

        engine.close();
        engine.solve(job, Conditions.REST, answers::add);
        engine.assess(job, answers::add);

        assertThat(answers).isEmpty();
    }
}
