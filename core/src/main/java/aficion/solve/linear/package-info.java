/**
 * Sparse symmetric conductance matrices: ordering, factorisation, solution. No electrical words and
 * no dependencies.
 */
@NullMarked
package aficion.solve.linear;

import org.jspecify.annotations.NullMarked;
