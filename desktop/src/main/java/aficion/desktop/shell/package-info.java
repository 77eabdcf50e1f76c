/** The window: top bar, circuit list, the views by work. Depends on the views and the workbench. */
@NullMarked
package aficion.desktop.shell;

import org.jspecify.annotations.NullMarked;
