/**
 * Wires, contacts and joints that carry more than they may: heat, volts lost, light. Depends on
 * findings.
 */
@NullMarked
package aficion.check.sizing;

import org.jspecify.annotations.NullMarked;
