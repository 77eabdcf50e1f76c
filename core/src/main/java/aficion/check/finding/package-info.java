/**
 * What a rule is and what it finds: findings as data, their names in files, what they are about,
 * how much they matter. Depends on sizing and on the edits.
 */
@NullMarked
package aficion.check.finding;

import org.jspecify.annotations.NullMarked;
