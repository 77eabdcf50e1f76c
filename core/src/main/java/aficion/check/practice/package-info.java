/**
 * What the trade holds for good work: ends, barrels, labels, colours, looks. Depends on findings.
 */
@NullMarked
package aficion.check.practice;

import org.jspecify.annotations.NullMarked;
