/**
 * A bench supply and a meter on the network, by SCPI lines over TCP (IEC 60488-2), and stand-ins of
 * both that measure a job. Depends on the solver; the desktop depends on it.
 */
@NullMarked
package aficion.instruments;

import org.jspecify.annotations.NullMarked;
