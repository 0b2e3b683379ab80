/** The pieces of a batch as a list, and what is made of them. Start at {@link app.yellowtab.desktop.pieces.PiecesView}. */
@NullMarked
package app.yellowtab.desktop.pieces;

import org.jspecify.annotations.NullMarked;
