/** Measures the window from within. */
@NullMarked
package app.yellowtab.desktop;

import org.jspecify.annotations.NullMarked;
