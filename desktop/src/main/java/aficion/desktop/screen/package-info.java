/**
 * What a screen is to the window: a name, a key, a view made when it is first shown, and what can
 * be done on it. The window knows screens by this alone.
 */
@NullMarked
package aficion.desktop.screen;

import org.jspecify.annotations.NullMarked;
