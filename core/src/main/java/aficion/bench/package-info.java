/**
 * The test run of a circuit: ordered steps, the readings the design predicts, and the judgement of
 * what was measured. Depends on the solver and the operating states.
 */
@NullMarked
package aficion.bench;

import org.jspecify.annotations.NullMarked;
