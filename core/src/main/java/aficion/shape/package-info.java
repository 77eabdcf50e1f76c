/**
 * Shapes that hands mark out: marks round a shaft, pulses of a sensor, holes of panels. Uses what
 * was set down of them in the job; sheets and screens use it.
 */
@NullMarked
package aficion.shape;

import org.jspecify.annotations.NullMarked;
