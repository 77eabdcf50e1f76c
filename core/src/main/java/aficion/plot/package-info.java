/**
 * Plots, and shapes at full size, as marks: what screen, sheet and file draw alike. Uses the marks
 * of drawings and the sums; words come in from outside.
 */
@NullMarked
package aficion.plot;

import org.jspecify.annotations.NullMarked;
