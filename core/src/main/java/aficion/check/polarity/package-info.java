/**
 * What is the wrong way round, on the wrong pins, of other volts, of another family or side.
 * Depends on findings.
 */
@NullMarked
package aficion.check.polarity;

import org.jspecify.annotations.NullMarked;
