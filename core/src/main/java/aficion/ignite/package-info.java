/**
 * Ignition by the sums people do on the back of a box: coils, ballast, plug leads, timing marks.
 * Uses nothing but quantities.
 */
@NullMarked
package aficion.ignite;

import org.jspecify.annotations.NullMarked;
