/** Drawings of the core as nodes of the screen, for whatever view shows one. */
@NullMarked
package aficion.desktop.drawing;

import org.jspecify.annotations.NullMarked;
