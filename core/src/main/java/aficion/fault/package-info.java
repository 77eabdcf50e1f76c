/**
 * What can give way on a vehicle, and what becomes of its netlist then: one model for what is tried
 * on the screen, for the sweep, and for whoever looks for a fault. Depends on the netlist.
 */
@NullMarked
package aficion.fault;

import org.jspecify.annotations.NullMarked;
