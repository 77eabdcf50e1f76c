/** The wire schedule. Depends on the workbench. */
@NullMarked
package aficion.desktop.make;

import org.jspecify.annotations.NullMarked;
