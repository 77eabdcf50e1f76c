/** The harness in the vehicle, from above: to be read and measured. */
@NullMarked
package aficion.desktop.board;

import org.jspecify.annotations.NullMarked;
