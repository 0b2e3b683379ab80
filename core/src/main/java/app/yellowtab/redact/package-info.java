/**
 * Pages from which areas are taken out: each is made one picture, with the words that are left behind it. Start at
 * {@link app.yellowtab.redact.RedactedPages}.
 */
@NullMarked
package app.yellowtab.redact;

import org.jspecify.annotations.NullMarked;
