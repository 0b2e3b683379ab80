package app.yellowtab.model.entry;

import java.util.Objects;

/**
 * How an entry stands between the parties who settle the index.
 *
 * @param remark what was said about it, such as why it is objected to; may be empty
 */
public record Agreement(Standing standing, String remark) {
    /** What the other side says of an entry. */
    public enum Standing {
        /** Nobody has said anything. */
        OPEN("", ""),
        AGREED("agreed", "Agreed"),
        DISPUTED("disputed", "Disputed"),
        /** The document, or the answer about it, is waited for. */
        AWAITED("awaited", "Awaited");

        private final String word;
        private final String printed;

        Standing(String word, String printed) {
            this.word = word;
            this.printed = printed;
        }

        /** {@return the word for it in a table; empty where nobody has said anything} */
        public String word() {
            return word;
        }
    }

    public static final Agreement OPEN = new Agreement(Standing.OPEN, "");

    public Agreement {
        Objects.requireNonNull(standing, "standing");
        remark = remark.strip();
    }

    /** {@return what the index prints, such as "Disputed: no copy was ever disclosed"; empty where nothing was said} */
    public String shown() {
        if (remark.isEmpty()) return standing.printed;
        return standing == Standing.OPEN ? remark : standing.printed + ": " + remark;
    }
}
