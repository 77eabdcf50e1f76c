/**
 * Ignition, starting and what must stop: coils and ballast, magnetos, what runs on with the key
 * off. Depends on findings, and on the group of functions.
 */
@NullMarked
package aficion.check.ignition;

import org.jspecify.annotations.NullMarked;
