/** The desktop program. Depends on files and core; holds no arithmetic. */
@NullMarked
package aficion.desktop;

import org.jspecify.annotations.NullMarked;
