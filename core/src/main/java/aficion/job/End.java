package aficion.job;

/** One end of a wire: the terminal it goes to and what is crimped to it. */
public record End(Terminal terminal, Termination termination) {}
