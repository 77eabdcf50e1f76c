/**
 * The tables of the trade: conductors, insulations, fuses, lamps, colours, zones. Each table is a
 * data file with unit, source and range; a value out of range fails with file, line and key.
 * Depends on quantities.
 */
@NullMarked
package aficion.catalogue;

import org.jspecify.annotations.NullMarked;
