/**
 * What changes on a vehicle that exists: a design as found against the design as it shall be, a
 * plug against that of another device, way by way, and the smallest design around one thing that is
 * changed. Uses the design; plan, sheets and the window ask it.
 */
@NullMarked
package aficion.change;

import org.jspecify.annotations.NullMarked;
