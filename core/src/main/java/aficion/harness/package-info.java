/**
 * The harness as a body: how thick its bundles are and what dresses, holds and bends them, what
 * passes its grommets, which runs to measure first, what another way would cost. Depends on sizing;
 * rules, sheets and screens depend on it.
 */
@NullMarked
package aficion.harness;

import org.jspecify.annotations.NullMarked;
