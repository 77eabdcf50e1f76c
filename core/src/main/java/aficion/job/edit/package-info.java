/**
 * Edits take a job to the next job; the history is the list of earlier jobs. Depends on the job
 * alone.
 */
@NullMarked
package aficion.job.edit;

import org.jspecify.annotations.NullMarked;
