/**
 * The one observable place that holds the job, the conditions, the selection and the latest
 * results. It sends edits and never computes; the engine behind it does, off the application
 * thread. Depends on files and core.
 */
@NullMarked
package aficion.desktop.workbench;

import org.jspecify.annotations.NullMarked;
