package aficion.job.edit;

import aficion.job.Acceptance;
import aficion.job.BenchRun;
import aficion.job.CircuitId;
import aficion.job.Diary;
import aficion.job.Job;
import aficion.job.PartId;
import aficion.job.Sums;
import aficion.job.Survey;
import aficion.job.UnusedLead;
import aficion.job.WireId;
import aficion.job.Work;
import java.util.function.UnaryOperator;

/** A note of what has been done. The design stays the same one, so nothing is computed anew. */
public sealed interface WorkEdit extends Step {

    /** The work with the note made. */
    Work apply(Work work);

    @Override
    default Job apply(Job job) {
        return job.with(apply(job.work()));
    }

    /** Marks a stage of a circuit as finished or not. */
    record SetStage(CircuitId circuit, Work.Stage stage, boolean finished) implements WorkEdit {
        @Override
        public Work apply(Work work) {
            return work.with(circuit, stage, finished);
        }
    }

    /** Notes how many steps of the making of a wire are done. */
    record Make(WireId wire, int steps) implements WorkEdit {
        @Override
        public Work apply(Work work) {
            return work.with(wire, steps);
        }
    }

    /** Notes a lead that nothing needs, in place of what was said of it before. */
    record NoteUnused(UnusedLead lead) implements WorkEdit {
        @Override
        public Work apply(Work work) {
            return work.with(lead);
        }
    }

    /** Notes a lead that nothing needs no longer. */
    record ForgetUnused(UnusedLead lead) implements WorkEdit {
        @Override
        public Work apply(Work work) {
            return work.without(lead);
        }
    }

    /** Notes that something was seen to when a part was fitted, or that it was not. */
    record Fit(Work.Fitted line, boolean done) implements WorkEdit {
        @Override
        public Work apply(Work work) {
            return work.with(line, done);
        }
    }

    /** Keeps a bench run, in place of what was kept of it before. */
    record KeepRun(BenchRun run) implements WorkEdit {
        @Override
        public Work apply(Work work) {
            return work.with(run);
        }
    }

    /** Keeps what a part showed before it was fitted. */
    record Try(PartId part, BenchRun.Reading reading) implements WorkEdit {
        @Override
        public Work apply(Work work) {
            return work.with(part, reading);
        }
    }

    /** What of a survey or a diary is noted. */
    enum About {
        FOUND,
        LEAD,
        BOX,
        KIT,
        PROBED,
        PHOTOGRAPH,
        ENTRY,
        TICK,
        CLOCK,
        RATE,
        FASTENER
    }

    /** Notes what was found, or measured of it. */
    record NoteSurvey(About about, UnaryOperator<Survey> change) implements WorkEdit {
        @Override
        public Work apply(Work work) {
            return work.with(change.apply(work.survey()));
        }
    }

    /** Writes into the diary. */
    record Write(About about, UnaryOperator<Diary> change) implements WorkEdit {
        @Override
        public Work apply(Work work) {
            return work.with(change.apply(work.diary()));
        }
    }

    /** Sets down something for the sums around the design. */
    record SetDown(Asked about, UnaryOperator<Sums> change) implements WorkEdit {
        @Override
        public Work apply(Work work) {
            return work.with(change.apply(work.sums()));
        }
    }

    /** What is set down. */
    enum Asked {
        USAGE,
        SPEEDS,
        PULLEYS,
        CAP,
        MARKS,
        FILL,
        PANEL,
        PICKUP
    }

    /** Lets a finding stand, in place of what was said of it before. */
    record Accept(Acceptance acceptance) implements WorkEdit {
        @Override
        public Work apply(Work work) {
            return work.with(acceptance);
        }
    }

    /** Lets a finding stand no longer. */
    record Reject(Acceptance acceptance) implements WorkEdit {
        @Override
        public Work apply(Work work) {
            return work.without(acceptance);
        }
    }
}
