/**
 * The vehicle as wires meet it: stations, the runs between them, and the cheapest way from one to
 * another; outlines to start from. Knows no wires and no parts; the job depends on it.
 */
@NullMarked
package aficion.route;

import org.jspecify.annotations.NullMarked;
