package aficion.check.finding;

/** How much a finding matters, worst first. */
public enum Severity {
    DANGER,
    FIX,
    ADVISE,
    NOTE
}
