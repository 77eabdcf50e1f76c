/**
 * A figure that can show how it was reached: formula, inputs with their origin, steps, limit and
 * source, as data. Depends on quantities alone; sizing and checks return it, screens and sheets
 * word it.
 */
@NullMarked
package aficion.working;

import org.jspecify.annotations.NullMarked;
