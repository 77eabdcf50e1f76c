package aficion.desktop.workbench;

import aficion.job.Design;

/**
 * What was made of one design. It differs from what was made of another even where both look the
 * same, so that whoever shows it never shows the parts of an older one.
 */
public record ForJob<T>(Design design, T made) {}
