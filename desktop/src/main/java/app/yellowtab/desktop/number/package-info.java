/**
 * The numbers that pages bear: which series, where they stand, how they look. Start at {@link
 * app.yellowtab.desktop.number.NumberStage}.
 */
@NullMarked
package app.yellowtab.desktop.number;

import org.jspecify.annotations.NullMarked;
