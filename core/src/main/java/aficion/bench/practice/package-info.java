/**
 * Practice: a fault that is hidden in a circuit, the acts by which a person looks for it, each with
 * the minutes it costs, and the way the reasoner would have taken. Depends on {@code bench.reason}.
 */
@NullMarked
package aficion.bench.practice;

import org.jspecify.annotations.NullMarked;
