/**
 * E-mails and web pages: what was written, as pages; what was sent with it, as files.
 * Start at {@link app.yellowtab.convert.mail.Mail}.
 */
@NullMarked
package app.yellowtab.convert.mail;

import org.jspecify.annotations.NullMarked;
