package aficion.desktop.workbench;

/**
 * What the engine can be asked. Of each question only the latest asking is answered: what was asked
 * before it is overtaken.
 */
public enum Question {
    /** What flows, as everything stands. */
    POINT(Pace.BETWEEN_FRAMES),
    /** The path of the circuit in focus. */
    DRAWING(Pace.BETWEEN_FRAMES),
    /** The path of the whole vehicle. */
    WHOLE(Pace.BETWEEN_FRAMES),
    /** The test run of the circuit in focus. */
    PLAN(Pace.IN_TURN),
    /** What may be wrong after what was read. */
    REASON(Pace.IN_TURN),
    /** What a meter shows between two terminals. */
    READING(Pace.BETWEEN_FRAMES),
    /** Sizes, guards and findings. */
    ASSESSMENT(Pace.IN_TURN),
    /** Remedies that mend and do no harm. */
    OFFER(Pace.BESIDE),
    /** Which runs to measure first. */
    DOUBTS(Pace.BESIDE),
    /** What wires are cut from. */
    CUTTING(Pace.IN_TURN),
    /** How a loom lies on its forming board. */
    FORMING(Pace.IN_TURN),
    /** What an edit would do. */
    PREVIEW(Pace.IN_TURN),
    /** What a recipe would become. */
    FIT(Pace.IN_TURN),
    /** Where a wire could be fed from. */
    FEEDS(Pace.IN_TURN),
    /** What each fault would do. */
    SWEEP(Pace.IN_TURN),
    /** What happens over time. */
    RECORD(Pace.IN_TURN),
    /** Some other work on the design. */
    WORK(Pace.IN_TURN);

    private final Pace pace;

    Question(Pace pace) {
        this.pace = pace;
    }

    /** How soon an answer is wanted. */
    enum Pace {
        /** Between two frames: it must not wait for what takes longer. */
        BETWEEN_FRAMES,
        /** One after another, each as it was asked. */
        IN_TURN,
        /** When it comes: it may take long, and nothing else waits for it. */
        BESIDE
    }

    /** How soon an answer is wanted. */
    Pace pace() {
        return pace;
    }
}
