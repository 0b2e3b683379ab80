/** Numbers that pages of a source bear already. Start at {@link app.yellowtab.printed.OldNumberFinder}. */
@NullMarked
package app.yellowtab.printed;

import org.jspecify.annotations.NullMarked;
