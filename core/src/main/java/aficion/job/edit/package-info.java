/**
 * Edits take a design to the next design; the history is the list of earlier jobs. Depends on the
 * design alone.
 */
@NullMarked
package aficion.job.edit;

import org.jspecify.annotations.NullMarked;
