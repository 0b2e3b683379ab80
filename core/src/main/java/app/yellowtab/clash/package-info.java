/** What marks would stand on. Start at {@link app.yellowtab.clash.ClashFinder}. */
@NullMarked
package app.yellowtab.clash;

import org.jspecify.annotations.NullMarked;
