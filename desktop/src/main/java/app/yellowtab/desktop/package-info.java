/**
 * The window's frame and what all its stages share. Start at {@link app.yellowtab.desktop.YellowTab}, then {@link
 * app.yellowtab.desktop.Shell}.
 */
@NullMarked
package app.yellowtab.desktop;

import org.jspecify.annotations.NullMarked;
