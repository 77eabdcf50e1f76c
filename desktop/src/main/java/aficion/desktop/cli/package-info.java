/** The command line: the same core without a screen. Depends on files; nothing depends on it. */
@NullMarked
package aficion.desktop.cli;

import org.jspecify.annotations.NullMarked;
