/**
 * The one way in which pages of a file become other pages, and what was said of them goes along. Start at
 * {@link app.yellowtab.edit.repage.Carrying}.
 */
@NullMarked
package app.yellowtab.edit.repage;

import org.jspecify.annotations.NullMarked;
