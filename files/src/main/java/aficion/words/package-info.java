/**
 * What the program says, from its resource bundle: the words for everything the core returns as
 * data. Depends on the core; sheets and screens depend on it.
 */
@NullMarked
package aficion.words;

import org.jspecify.annotations.NullMarked;
