package aficion.route;

/** What a run is dressed in. */
public enum Covering {
    TAPE,
    LOOM_TUBE,
    BRAID,
    SHRINK
}
