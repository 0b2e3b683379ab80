/** The screen before a bundle is open. */
@NullMarked
package app.yellowtab.desktop.start;

import org.jspecify.annotations.NullMarked;
