/**
 * One rule a class; each finds one kind of mistake, gives its figures and offers its remedy as an
 * edit. Depends on sizing and on the edits.
 */
@NullMarked
package aficion.check;

import org.jspecify.annotations.NullMarked;
