/**
 * What a hand does to a path: puts a part into a wire, leads an end elsewhere, does one side as the
 * other, paints by the scheme. Each verb gives the edit that does it, or says why it cannot be
 * done. Uses the design, what leads are for and their sizes; findings offer some as remedies,
 * recipes join by the same rules.
 */
@NullMarked
package aficion.verb;

import org.jspecify.annotations.NullMarked;
