/**
 * Fonts, style sheet and the small shapes that stand for findings and progress. Depends on nothing
 * of ours.
 */
@NullMarked
package aficion.desktop.theme;

import org.jspecify.annotations.NullMarked;
