/**
 * A whole job taken to other volts, or to the other earthed pole, each part judged. Uses the design
 * and what is found of it.
 */
@NullMarked
package aficion.convert;

import org.jspecify.annotations.NullMarked;
