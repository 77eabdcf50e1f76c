/**
 * Batteries and what charges them: set point, output, wake-up, what stays on at rest. Depends on
 * findings.
 */
@NullMarked
package aficion.check.sources;

import org.jspecify.annotations.NullMarked;
