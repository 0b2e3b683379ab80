/** What marks would stand on, and the numbers that pages carried before. Start at {@link app.yellowtab.clash.ClashFinder}. */
@NullMarked
package app.yellowtab.clash;

import org.jspecify.annotations.NullMarked;
