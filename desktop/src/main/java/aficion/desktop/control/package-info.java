/** The conditions bar: key, switches, engine, battery. Depends on the workbench. */
@NullMarked
package aficion.desktop.control;

import org.jspecify.annotations.NullMarked;
