/** Figures and texts that are changed in place. Depends on the theme; views use it. */
@NullMarked
package aficion.desktop.field;

import org.jspecify.annotations.NullMarked;
