/**
 * What the source gives against what the loads take, by situation and over engine speed. Its view
 * computes nothing: it asks the engine.
 */
@NullMarked
package aficion.desktop.power;

import org.jspecify.annotations.NullMarked;
