package app.yellowtab.facts;

import app.yellowtab.finding.Finding;
import java.util.Objects;

/**
 * Something about a file that stays to be said of it.
 *
 * @param code   what it is
 * @param detail a further word; empty for none
 */
public record Note(Finding.Code code, String detail) {
    public Note {
        Objects.requireNonNull(code, "code");
        Objects.requireNonNull(detail, "detail");
    }

    public static Note of(Finding finding) {
        return new Note(finding.code(), finding.detail());
    }

    /** {@return it as said of a file} */
    public Finding about(String fileName) {
        return Finding.about(code, fileName, detail);
    }
}
