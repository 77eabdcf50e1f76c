package aficion.job.edit;

import aficion.job.Acceptance;
import aficion.job.BenchRun;
import aficion.job.CircuitId;
import aficion.job.Job;
import aficion.job.PartId;
import aficion.job.UnusedLead;
import aficion.job.WireId;
import aficion.job.Work;

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
