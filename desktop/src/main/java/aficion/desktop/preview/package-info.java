/** A sheet as it will be printed. Depends on the workbench. */
@NullMarked
package aficion.desktop.preview;

import org.jspecify.annotations.NullMarked;
