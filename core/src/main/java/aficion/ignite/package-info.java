/**
 * Ignition by the sums people do on the back of a box, on the parts of the job: coils and ballast
 * over speed, timing marks, the steps of static timing. Uses the design and its netlist; checks,
 * sheets and screens use it.
 */
@NullMarked
package aficion.ignite;

import org.jspecify.annotations.NullMarked;
