/**
 * Gauges and their senders, whatever their families: where the needle stands, what corrects it, how
 * a tank is calibrated. Uses the design and the solver; sheets and screens use it.
 */
@NullMarked
package aficion.gauge;

import org.jspecify.annotations.NullMarked;
