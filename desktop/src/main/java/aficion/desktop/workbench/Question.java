package aficion.desktop.workbench;

/**
 * What the engine can be asked. Of each question only the latest asking is answered: what was asked
 * before it is overtaken.
 */
public enum Question {
    /** What flows, as everything stands. */
    POINT(true),
    /** The path of the circuit in focus. */
    DRAWING(true),
    /** The path of the whole vehicle. */
    WHOLE(true),
    /** The test run of the circuit in focus. */
    PLAN(false),
    /** What may be wrong after what was read. */
    REASON(false),
    /** What a meter shows between two terminals. */
    READING(true),
    /** Sizes, guards and findings. */
    ASSESSMENT(false),
    /** Remedies that mend and do no harm. */
    OFFER(false),
    /** Which runs to measure first. */
    DOUBTS(false),
    /** What wires are cut from. */
    CUTTING(false),
    /** How a loom lies on its forming board. */
    FORMING(false),
    /** What an edit would do. */
    PREVIEW(false),
    /** What a recipe would become. */
    FIT(false),
    /** Where a wire could be fed from. */
    FEEDS(false),
    /** What each fault would do. */
    SWEEP(false),
    /** What happens over time. */
    RECORD(false),
    /** Some other work on the design. */
    WORK(false);

    private final boolean quick;

    Question(boolean quick) {
        this.quick = quick;
    }

    /** Whether it is answered between two frames, and must not wait for what takes longer. */
    boolean isQuick() {
        return quick;
    }
}
