/** What hands need: the wire schedule. Depends on sizing; screens and sheets show it. */
@NullMarked
package aficion.make;

import org.jspecify.annotations.NullMarked;
