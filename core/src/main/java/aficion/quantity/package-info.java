/**
 * Numbers with units, held in SI, and how a user reads and writes them. Depends on nothing;
 * everything else depends on it.
 */
@NullMarked
package aficion.quantity;

import org.jspecify.annotations.NullMarked;
