/**
 * From a document tree of text, tables and pictures to PDF pages: typefaces, page setting, and the safe reading of the
 * packages that office files are. Start at {@link app.yellowtab.convert.page.HtmlPages}.
 */
@NullMarked
package app.yellowtab.convert.page;

import org.jspecify.annotations.NullMarked;
