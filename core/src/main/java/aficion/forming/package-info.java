/**
 * The forming board: looms laid flat at true length, with nails, ties, tape and tags. Depends on
 * route and harness; screens, sheets and files draw it.
 */
@NullMarked
package aficion.forming;

import org.jspecify.annotations.NullMarked;
