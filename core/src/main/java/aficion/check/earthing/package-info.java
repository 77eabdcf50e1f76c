/**
 * Earths that are shared, switched or missing, and the gauges that show it. Depends on findings.
 */
@NullMarked
package aficion.check.earthing;

import org.jspecify.annotations.NullMarked;
