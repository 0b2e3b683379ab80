/** Opening PDFs within bounds, whatever is in them. Start at {@link app.yellowtab.input.PdfInput}. */
@NullMarked
package app.yellowtab.input;

import org.jspecify.annotations.NullMarked;
