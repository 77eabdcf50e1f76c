package aficion.job;

/** Why a live lead may go without a guard. It must be stated; nothing is unguarded by accident. */
public enum Unguarded {
    /** It feeds the starter, whose current no fuse holds. */
    STARTER_FEED,
    /** It ends at its fuse, within reach of the source. */
    WITHIN_REACH,
    /** Short, heavy and sleeved: the classic charging lead and main feed. */
    SHORT_AND_SLEEVED
}
