/**
 * The pages of documents side by side, to be chosen, turned, moved and taken out. Start at {@link
 * app.yellowtab.desktop.table.PagesView}.
 */
@NullMarked
package app.yellowtab.desktop.table;

import org.jspecify.annotations.NullMarked;
