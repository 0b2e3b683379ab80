/**
 * The streaming writer: objects are written as soon as they are reached, encoded streams unread, identical ones once.
 * Start at {@link app.yellowtab.output.PdfWriter} and {@link app.yellowtab.output.ObjectGraph}.
 */
@NullMarked
package app.yellowtab.output;

import org.jspecify.annotations.NullMarked;
