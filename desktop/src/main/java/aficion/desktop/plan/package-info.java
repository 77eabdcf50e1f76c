/** Starting jobs and adding circuits from recipes. Depends on the workbench. */
@NullMarked
package aficion.desktop.plan;

import org.jspecify.annotations.NullMarked;
