/**
 * What lies under our numbers, and numbers that pages bear already: looked for, listed, mended. Start at
 * {@link app.yellowtab.desktop.clash.ClashDesk}.
 */
@NullMarked
package app.yellowtab.desktop.clash;

import org.jspecify.annotations.NullMarked;
