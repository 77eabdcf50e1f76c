/**
 * The screen around the design: the old loom, what unknown leads are, what changes, the plan, the
 * diary, the hand-over. Its views note what is done; they compute nothing.
 */
@NullMarked
package aficion.desktop.log;

import org.jspecify.annotations.NullMarked;
