/**
 * From what was read to what is wrong: the faults a circuit may have, what each would show, which
 * explain what was read, and what to read next. Depends on {@code fault} and {@code solve}.
 *
 * <p>Sequential diagnosis after J. de Kleer and B. C. Williams, <i>Diagnosing multiple faults</i>,
 * Artificial Intelligence 32 (1987): faults are weighed by Bayes' rule with a share for slips, and
 * the next reading is the one that parts them best for its trouble.
 */
@NullMarked
package aficion.bench.reason;

import org.jspecify.annotations.NullMarked;
