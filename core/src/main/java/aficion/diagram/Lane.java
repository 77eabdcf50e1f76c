package aficion.diagram;

/** The five lanes of a path, left to right. */
public enum Lane {
    SOURCE,
    GUARD,
    CONTROL,
    WORK,
    RETURN
}
