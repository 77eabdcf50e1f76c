/**
 * The source against the loads: what it gives over engine speed in the situations of a vehicle, how
 * the battery fares, how long it stands, pulleys. Uses the design and the solver.
 */
@NullMarked
package aficion.charge;

import org.jspecify.annotations.NullMarked;
