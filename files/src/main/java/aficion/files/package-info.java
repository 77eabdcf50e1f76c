/**
 * Open formats: the job file, the wire schedule as CSV, and sheets as PDF. Depends on the core; the
 * desktop depends on it.
 */
@NullMarked
package aficion.files;

import org.jspecify.annotations.NullMarked;
