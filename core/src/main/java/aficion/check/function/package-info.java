/**
 * Whether everything works that should, in the states it should. Depends on findings, and on the
 * group of polarity.
 */
@NullMarked
package aficion.check.function;

import org.jspecify.annotations.NullMarked;
