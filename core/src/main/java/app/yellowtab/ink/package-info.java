/**
 * What a picture of a page in grey tells: whether it is blank, how it slants, where it has dark edges, a fold, columns. Start at
 * {@link app.yellowtab.ink.Ink}.
 */
@NullMarked
package app.yellowtab.ink;

import org.jspecify.annotations.NullMarked;
