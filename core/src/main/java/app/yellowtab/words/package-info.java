/**
 * The words of pages with their places, for everybody who looks for something in them. Start at
 * {@link app.yellowtab.words.BatchPage}.
 */
@NullMarked
package app.yellowtab.words;

import org.jspecify.annotations.NullMarked;
