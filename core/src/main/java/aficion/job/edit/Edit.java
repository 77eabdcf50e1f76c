package aficion.job.edit;

import aficion.job.Design;
import aficion.job.Job;

/** A change that takes a design to the next. Pure: the design it is given stays as it was. */
public sealed interface Edit extends Step
        permits WireEdit, PartEdit, CircuitEdit, VehicleEdit, BodyEdit, CompositeEdit {

    /**
     * The design with the change made.
     *
     * @throws IllegalArgumentException when the design lacks what the edit speaks of, or the result
     *     would not hold together
     */
    Design apply(Design design);

    @Override
    default Job apply(Job job) {
        return job.with(apply(job.design()));
    }
}
