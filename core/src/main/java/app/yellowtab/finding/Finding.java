package app.yellowtab.finding;

import java.nio.file.Path;
import java.text.MessageFormat;
import java.util.Locale;
import java.util.Objects;
import java.util.ResourceBundle;

/**
 * Something about a file that the user must know: data, to be listed, counted and worded.
 *
 * @param code   what it is
 * @param name   of the file it is about, or of whatever else it is
 * @param within  the files that it was taken out of; empty for none
 * @param place  its whole path
 * @param page   the page it is about, counted from 1; 0 for the whole file
 * @param detail a further word for the message, such as the kind of the file; empty for none
 */
public record Finding(Code code, String name, String within, String place, int page, String detail) {
    /** What can be found. {@code lossy} ones mean that something of the file is not in the bundle. */
    public enum Code {
        KIND_NOT_READ(true), EMPTY_FILE(true), PASSWORD_NEEDED(true), PASSWORD_AGAIN(true), LOCKED_TO_CERTIFICATE(true), LOCKED_OTHERWISE(true), PASSWORDS_NOT_CHANGED(false), DAMAGED(true), NOT_CONVERTED(true), NOT_TAKEN_OUT(true), NO_PAGES(true),
        NOT_READABLE(true), NO_ROOM(true), FOLDER_NOT_READABLE(true), TOO_LARGE(true), FAILED(true), SOURCE_MISSING(true), SOURCE_STUCK(true),
        PAGES_MISSING(true), BREAKS_OFF(true), REBUILT(true), FIRST_PICTURE_ONLY(true), PICTURE_MENDED(false), PAGE_LOST(true), PAGE_TOO_MUCH(true), REDACTION_NOT_MADE(true), PAGES_TOO_MUCH(true), CHARACTERS_NOT_SHOWN(true), PART_LOST(true), PAGE_WITHOUT_SIZE(false), FIELD_NOT_SHOWN(true),
        CONVERSION_LOST(true), CHANGES_ACCEPTED(false), CHANGES_SHOWN(false), HIDDEN_LEFT_OUT(true), NOT_FETCHED(true), NESTED_TOO_DEEP(true),
        LINK_DROPPED(false), COMMENTS_KEPT(false), COMMENTS_FLATTENED(false), COMMENTS_DROPPED(false), ACTIONS_REMOVED(false), MEDIA_REMOVED(false),
        FILES_LEFT_OUT(true), HIDDEN_LAYERS(false), SIGNATURES(false), SOURCE_CHANGED(true), TARGET_BUSY(true),
        TARGET_NOT_WRITABLE(true), TARGET_IS_SOURCE(true), NO_SPACE(true), NOTHING_TO_PRODUCE(true),
        PROOF_COUNT(true), PROOF_OTHER_FILE(true), PROOF_LABEL(true), PROOF_BOOKMARK(true), PROOF_FONT(true), PROOF_ACTION_OF_FILE(true), PROOF_NUMBER(true),
        PROOF_PLACE(true), PROOF_ROW(true), PROOF_ROW_NUMBER(true), PROOF_ROW_LINK(true), PROOF_LINKS(true), PROOF_PAGE(true), PROOF_CONTENT(true), PROOF_ACTION(true),
        PROOF_UNREADABLE(true), PROOF_NO_BUNDLE(true), PROOF_NO_PDF(true), LEDGER_MISSING(true), LEDGER_DAMAGED(true),
        BUNDLE_MISSING(true), BUNDLE_DAMAGED(true), BUNDLE_NEWER(true), BUNDLE_IN_USE(true), BUNDLE_NOT_SAVED(true);

        private final boolean lossy;

        Code(boolean lossy) {
            this.lossy = lossy;
        }

        public boolean lossy() {
            return lossy;
        }
    }

    public Finding {
        Objects.requireNonNull(code, "code");
        Objects.requireNonNull(name, "name");
        Objects.requireNonNull(within, "within");
        Objects.requireNonNull(place, "place");
        Objects.requireNonNull(detail, "detail");
        if (page < 0) throw new IllegalArgumentException("a finding's page must be >= 0, got " + page);
    }

    public Finding(Code code, Path file, int page, String detail) {
        this(code, file.getFileName() == null ? file.toString() : file.getFileName().toString(), "", file.toString(), page, detail);
    }

    public static Finding of(Code code, Path file) {
        return new Finding(code, file, 0, "");
    }

    public static Finding of(Code code, Path file, String detail) {
        return new Finding(code, file, 0, detail);
    }

    /** {@return a finding about something that is no file, such as a title} */
    public static Finding about(Code code, String name, String detail) {
        return new Finding(code, name, "", name, 0, detail);
    }

    /** {@return the same of a file that was taken out of another} */
    public Finding within(String container) {
        return new Finding(code, name, within.isEmpty() ? container : within + ", in " + container, place, page, detail);
    }

    /** {@return one or two sentences: the file, what is the matter, and what can be done} */
    public String message() {
        ResourceBundle words = ResourceBundle.getBundle("app.yellowtab.finding.findings", Locale.ROOT);
        return new MessageFormat(words.getString(code.name()), Locale.ROOT)
                .format(new Object[] {within.isEmpty() ? name : name + " (in " + within + ")", page, detail, place});
    }
}
