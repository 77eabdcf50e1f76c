/**
 * What the user states: an immutable job of parts, wires, circuits and house rules. Depends on
 * quantities and the catalogue; everything computed is computed from it.
 */
@NullMarked
package aficion.job;

import org.jspecify.annotations.NullMarked;
