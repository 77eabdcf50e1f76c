/**
 * The work that is left, as tasks that have reasons for their order: what can be done now, what
 * waits for what, how long it takes by the user's own pace, and what fits an evening. Uses the
 * design, its looms, what is made, tested and changed; sheets and the window ask it.
 */
@NullMarked
package aficion.plan;

import org.jspecify.annotations.NullMarked;
