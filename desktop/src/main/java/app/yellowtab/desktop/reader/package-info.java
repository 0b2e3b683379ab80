/** Looking at leaves: the fore-edge and the reader. */
@NullMarked
package app.yellowtab.desktop.reader;

import org.jspecify.annotations.NullMarked;
