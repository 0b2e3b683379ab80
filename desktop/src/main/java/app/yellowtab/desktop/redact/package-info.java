/**
 * Redacting pages in the reader: through a dark glass, until they are produced. Start at {@link
 * app.yellowtab.desktop.redact.RedactDesk}.
 */
@NullMarked
package app.yellowtab.desktop.redact;

import org.jspecify.annotations.NullMarked;
