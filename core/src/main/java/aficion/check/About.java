package aficion.check;

/** What is wrong with what, whatever the figures. */
public record About(String rule, Subject subject) {}
