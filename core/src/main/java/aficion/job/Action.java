package aficion.job;

/** How a switch is worked. */
public enum Action {
    KEY,
    LEVER,
    PUSH,
    PEDAL
}
