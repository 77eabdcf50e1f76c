package aficion.check;

/** How much a finding matters, worst first. */
public enum Severity {
    DANGER,
    FIX,
    ADVISE,
    NOTE
}
