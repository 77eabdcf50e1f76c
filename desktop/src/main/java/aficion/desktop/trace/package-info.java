/** The path of the circuit in focus, alive. Depends on the workbench. */
@NullMarked
package aficion.desktop.trace;

import org.jspecify.annotations.NullMarked;
