package aficion.check.finding;

/** What is wrong with what, whatever the figures. */
public record About(String rule, Subject subject) {}
