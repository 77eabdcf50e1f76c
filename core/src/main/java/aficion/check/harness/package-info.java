/** Whether the harness goes where it is to lie: grommets, bundles. Depends on findings. */
@NullMarked
package aficion.check.harness;

import org.jspecify.annotations.NullMarked;
