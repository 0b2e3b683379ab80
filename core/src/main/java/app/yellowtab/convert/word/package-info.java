/**
 * Letters and other running text: the kinds that word processors write, read as a court would look at them.
 * Start at {@link app.yellowtab.convert.word.WordPages}.
 */
@NullMarked
package app.yellowtab.convert.word;

import org.jspecify.annotations.NullMarked;
