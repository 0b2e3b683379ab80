/**
 * A newer file in place of an older one, after a look at what differs. Start at {@link
 * app.yellowtab.desktop.replace.ReplaceView}.
 */
@NullMarked
package app.yellowtab.desktop.replace;

import org.jspecify.annotations.NullMarked;
