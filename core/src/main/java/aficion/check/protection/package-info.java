/**
 * Fuses and breakers: leads without one, guards larger than their wire, guards that open in
 * ordinary use or not when they should. Depends on findings.
 */
@NullMarked
package aficion.check.protection;

import org.jspecify.annotations.NullMarked;
