package aficion.verb;

import aficion.job.edit.Edit;

/** What became of a verb: the edit that does it, or why it cannot be done. */
public sealed interface Attempt {

    record Possible(Edit edit) implements Attempt {}

    record Refused(Refusal why) implements Attempt {}

    /** Why a verb cannot be done here. */
    enum Refusal {
        /** Both ends would be on one terminal. */
        SAME_TERMINAL,
        /** The vehicle has no such terminal. */
        NO_TERMINAL,
        /** The vehicle has no earth point. */
        NO_EARTH_POINT,
        /** The vehicle has only one earth point. */
        ONE_EARTH_POINT,
        /** The part has no two pins that a wire could pass through. */
        NO_WAY_THROUGH,
        /** Other pins are in use than the new part has. */
        OTHER_PINS,
        /** The part has not two leads to exchange. */
        NOT_TWO_LEADS,
        /** The name of the part says no side. */
        NO_SIDE,
        /** Nothing would change. */
        NOTHING_TO_DO,
        /** No colour scheme has been chosen. */
        NO_SCHEME
    }
}
