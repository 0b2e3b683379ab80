package app.yellowtab.deliver;

import java.util.Optional;

/**
 * What is written of the pieces of a batch.
 *
 * @param files whether each is a file
 * @param mails the e-mails that they are attached to; empty for none
 */
public record Wanted(boolean files, Optional<Mails> mails) {
    /** Only files. */
    public static final Wanted FILES = new Wanted(true, Optional.empty());

    /**
     * Drafted e-mails. Their subject and text have gaps that {@link app.yellowtab.cut.PieceWords} fills.
     *
     * @param oneEach whether each piece has a mail of its own; otherwise one has all
     * @param to      addresses, separated by commas; empty for nobody yet
     */
    public record Mails(boolean oneEach, String to, String subject, String text) {
        /** {@return what suits most} */
        public static Mails usual(boolean oneEach) {
            return new Mails(oneEach, "", "[name]", "Attached: [name], [pages].");
        }

        /** @throws IllegalArgumentException if {@code to} is no address */
        public Mails {
            if (!MailDraft.isAddress(to)) throw new IllegalArgumentException("“" + to + "” is no e-mail address");
        }
    }
}
