/** Numbers and lines on loose files that stay files. Start at {@link app.yellowtab.desktop.loose.LooseView}. */
@NullMarked
package app.yellowtab.desktop.loose;

import org.jspecify.annotations.NullMarked;
