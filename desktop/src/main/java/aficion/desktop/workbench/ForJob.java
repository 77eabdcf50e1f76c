package aficion.desktop.workbench;

import aficion.job.Job;

/**
 * What was made of one job. It differs from what was made of another even where both look the same,
 * so that whoever shows it never shows the parts of an older job.
 */
public record ForJob<T>(Job job, T made) {}
