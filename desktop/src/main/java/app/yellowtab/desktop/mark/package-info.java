/**
 * Numbers and lines as one sets them, wherever that is done: their words, places, presets. Start at
 * {@link app.yellowtab.desktop.mark.LineEditor}.
 */
@NullMarked
package app.yellowtab.desktop.mark;

import org.jspecify.annotations.NullMarked;
