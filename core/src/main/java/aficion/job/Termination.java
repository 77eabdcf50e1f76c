package aficion.job;

/** What is crimped to the end of a wire. */
public enum Termination {
    BLADE_6_3,
    BLADE_9_5,
    RING_M5,
    RING_M6,
    RING_M8,
    LUG,
    POST_CLAMP,
    BULLET,
    PIN,
    SPLICE
}
