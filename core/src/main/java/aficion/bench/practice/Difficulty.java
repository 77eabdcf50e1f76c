package aficion.bench.practice;

/** How well a fault is hidden. */
public enum Difficulty {
    /** One that leaves something dark or takes a guard with it. */
    EASY,
    /** One of all that a meter can notice. */
    FAIR,
    /** Two at once, or one that comes and goes. */
    HARD
}
