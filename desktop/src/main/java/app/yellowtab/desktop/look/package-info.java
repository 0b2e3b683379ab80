/**
 * What every part of the window is made with: words by key, styles, ready controls, signs. Start at
 * {@link app.yellowtab.desktop.look.Controls}.
 */
@NullMarked
package app.yellowtab.desktop.look;

import org.jspecify.annotations.NullMarked;
