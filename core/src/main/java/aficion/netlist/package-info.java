/**
 * The design as nodes and branches, and the way back to names. Compiled once for each design;
 * conditions fill in what is closed and what is turning. Depends on the design; the solver depends
 * on it.
 */
@NullMarked
package aficion.netlist;

import org.jspecify.annotations.NullMarked;
