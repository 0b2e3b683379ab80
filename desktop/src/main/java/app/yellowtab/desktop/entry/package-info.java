/** The index as it is worked on, without its view. Start at {@link app.yellowtab.desktop.entry.Arrangement}. */
@NullMarked
package app.yellowtab.desktop.entry;

import org.jspecify.annotations.NullMarked;
