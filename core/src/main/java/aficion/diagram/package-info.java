/**
 * Lanes and routes of the path drawing, positions only, from any design and circuit. Depends on the
 * design and its guards; screens and sheets draw it.
 */
@NullMarked
package aficion.diagram;

import org.jspecify.annotations.NullMarked;
