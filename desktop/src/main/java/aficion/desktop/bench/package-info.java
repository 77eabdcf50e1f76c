/** The test run, expected beside measured. Depends on the workbench. */
@NullMarked
package aficion.desktop.bench;

import org.jspecify.annotations.NullMarked;
