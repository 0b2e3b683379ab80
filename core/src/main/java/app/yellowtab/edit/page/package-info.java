/** What is done with single pages of documents. Start at {@link app.yellowtab.edit.page.PageEdits}. */
@NullMarked
package app.yellowtab.edit.page;

import org.jspecify.annotations.NullMarked;
