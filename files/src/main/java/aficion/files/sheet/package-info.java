/**
 * Sheets for the bench: schedule, circuit path and test record as PDF, the schedule as CSV. Depends
 * on the core and on the words.
 */
@NullMarked
package aficion.files.sheet;

import org.jspecify.annotations.NullMarked;
