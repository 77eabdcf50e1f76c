/**
 * What happens when something gives way: every wire broken or chafed to earth, every earth lost,
 * every joint gone bad, in every operating state. Depends on the solver and on what wires can
 * carry; findings and views depend on it.
 */
@NullMarked
package aficion.sweep;

import org.jspecify.annotations.NullMarked;
