/**
 * What lies in the drawer: spools, terminals, sleeves, and what wires are cut from. Depends on the
 * design and how it is made; lists and screens show it.
 */
@NullMarked
package aficion.stock;

import org.jspecify.annotations.NullMarked;
