/**
 * Circuits to start from. A recipe asks a few questions and gives a fragment: parts, wires and what
 * they have to be joined to; an insertion finds that in a design by what is live when, and makes an
 * edit of it. Uses the design, its edits and the findings; the recipes themselves are files that
 * {@code files} reads.
 */
@NullMarked
package aficion.recipe;

import org.jspecify.annotations.NullMarked;
