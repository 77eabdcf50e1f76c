/**
 * What a wire has to carry, what it can carry where it runs, what it loses, and the size and guard
 * that follow. Depends on the solver; findings and sheets depend on it.
 */
@NullMarked
package aficion.size;

import org.jspecify.annotations.NullMarked;
