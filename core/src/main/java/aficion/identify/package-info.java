/**
 * Finding out what a lead is for: what is live when, as a meter tells it, and from that and from
 * what a lead reaches, its purpose. Uses the design and the solver; colours, recipes and findings
 * ask it.
 */
@NullMarked
package aficion.identify;

import org.jspecify.annotations.NullMarked;
