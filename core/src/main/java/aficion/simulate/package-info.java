/**
 * A vehicle over time: filaments that warm, motors that speed up, relays that take their time,
 * fuses that heat, flashers that flash, batteries that run down, an engine that follows a script.
 * Depends on the solver; views and findings depend on it.
 */
@NullMarked
package aficion.simulate;

import org.jspecify.annotations.NullMarked;
