/** Practice on a hidden fault. Depends on the workbench; no screen depends on it. */
@NullMarked
package aficion.desktop.practice;

import org.jspecify.annotations.NullMarked;
