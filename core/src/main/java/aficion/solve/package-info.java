/**
 * The operating point: volts at every node and amps in every branch, or the evidence why there is
 * none. Knows nodes and branches, never relays or vehicles; depends on the netlist.
 */
@NullMarked
package aficion.solve;

import org.jspecify.annotations.NullMarked;
