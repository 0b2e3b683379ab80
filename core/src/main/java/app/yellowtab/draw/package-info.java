/** Pages of files drawn, within bounds. Start at {@link app.yellowtab.draw.BoundedRenderer}. */
@NullMarked
package app.yellowtab.draw;

import org.jspecify.annotations.NullMarked;
