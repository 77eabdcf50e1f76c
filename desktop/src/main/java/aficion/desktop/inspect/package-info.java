/** Everything about what is selected. Depends on the workbench. */
@NullMarked
package aficion.desktop.inspect;

import org.jspecify.annotations.NullMarked;
