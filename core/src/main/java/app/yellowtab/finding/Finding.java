package app.yellowtab.finding;

import static app.yellowtab.finding.Severity.LOSS;
import static app.yellowtab.finding.Severity.OBSTACLE;
import static app.yellowtab.finding.Severity.REMARK;

import java.nio.file.Path;
import java.text.MessageFormat;
import java.util.Locale;
import java.util.Objects;
import java.util.ResourceBundle;

/**
 * Something that the user must know: data, to be listed, counted and worded.
 *
 * @param code    what it is
 * @param subject what it is about
 * @param detail  a further word for the message, such as the kind of the file; empty for none
 */
public record Finding(Code code, Subject subject, String detail) {
    /** What can be found. */
    public enum Code {
        KIND_NOT_READ(LOSS), EMPTY_FILE(LOSS), PASSWORD_NEEDED(LOSS), PASSWORD_AGAIN(OBSTACLE), LOCKED_TO_CERTIFICATE(LOSS),
        LOCKED_OTHERWISE(LOSS),
        PASSWORDS_NOT_CHANGED(REMARK), DAMAGED(LOSS), NOT_CONVERTED(LOSS), NOT_TAKEN_OUT(LOSS), NO_PAGES(LOSS),
        NOT_READABLE(LOSS), NO_ROOM(LOSS),
        FOLDER_NOT_READABLE(LOSS), TOO_LARGE(LOSS), FAILED(LOSS), SOURCE_MISSING(OBSTACLE), SOURCE_STUCK(OBSTACLE),
        PAGES_MISSING(OBSTACLE),
        BREAKS_OFF(LOSS), REBUILT(LOSS), FIRST_PICTURE_ONLY(LOSS), PICTURE_MENDED(REMARK), PAGE_LOST(LOSS), PAGE_TOO_MUCH(LOSS),
        REDACTION_NOT_MADE(LOSS), REDACTED(REMARK), REDACTED_COARSE(REMARK), REDACTED_WITHOUT(LOSS), REDACTED_UNREAD(LOSS),
        REDACTED_AROUND(LOSS), REDACTED_AGAIN(LOSS), REDACTED_IN_COMMENT(LOSS), REDACTED_IN_FILE(LOSS),
        REDACTED_NOT_COMPARED(REMARK), REDACTED_UNDECIDED(OBSTACLE), REDACTED_NOT_LOOKED(REMARK),
        REDACTED_IN_NAME(LOSS), REDACTED_IN_BOOKMARK(LOSS), LOOK_AGAIN(LOSS), REDACTED_ELSEWHERE(LOSS),
        REDACTED_GOES_ALONG(LOSS), PAGES_TOO_MUCH(LOSS), WORDS_GONE(LOSS), NOT_RECOGNISED(LOSS), CHARACTERS_NOT_SHOWN(LOSS),
        PART_LOST(LOSS), PAGE_WITHOUT_SIZE(REMARK),
        FIELD_NOT_SHOWN(LOSS), CONVERSION_LOST(LOSS), CHANGES_ACCEPTED(REMARK), CHANGES_SHOWN(REMARK), HIDDEN_LEFT_OUT(LOSS),
        NOT_FETCHED(LOSS),
        NESTED_TOO_DEEP(LOSS), LINK_DROPPED(REMARK), COMMENTS_KEPT(REMARK), COMMENTS_FLATTENED(REMARK), COMMENTS_DROPPED(REMARK),
        ACTIONS_REMOVED(REMARK), MEDIA_REMOVED(REMARK), FILES_LEFT_OUT(LOSS), HIDDEN_LAYERS(REMARK), SIGNATURES(REMARK),
        SOURCE_CHANGED(OBSTACLE),
        TARGET_BUSY(OBSTACLE), INTERRUPTED(OBSTACLE), TARGET_NOT_WRITABLE(OBSTACLE), TARGET_IS_SOURCE(OBSTACLE),
        ENCLOSED_IN_WAY(OBSTACLE),
        NO_SPACE(OBSTACLE), VOLUME_FRONT(OBSTACLE), VOLUME_OVER(OBSTACLE), NOTHING_TO_PRODUCE(OBSTACLE), TO_LOOK_AT(OBSTACLE),
        PAGES_GONE(LOSS),
        NOT_READ_ANEW(LOSS),
        PROOF_COUNT(LOSS), PROOF_OTHER_FILE(LOSS), PROOF_LABEL(LOSS), PROOF_BOOKMARK(LOSS), PROOF_FONT(LOSS),
        PROOF_ACTION_OF_FILE(LOSS),
        PROOF_NUMBER(LOSS), PROOF_PLACE(LOSS), PROOF_ROW(LOSS), PROOF_ROW_NUMBER(LOSS), PROOF_ROW_LINK(LOSS), PROOF_LINKS(LOSS),
        PROOF_NAME(LOSS),
        PROOF_PAGE(LOSS),
        PROOF_CONTENT(LOSS), PROOF_REDACTION(LOSS), PROOF_FILE_MISSING(LOSS), PROOF_FILE_CHANGED(LOSS), PROOF_ACTION(LOSS),
        PROOF_UNREADABLE(LOSS), PROOF_SETS(LOSS), PROOF_NO_BUNDLE(OBSTACLE), PROOF_NO_PDF(OBSTACLE), LEDGER_MISSING(OBSTACLE),
        LEDGER_DAMAGED(OBSTACLE), BUNDLE_MISSING(OBSTACLE), BUNDLE_DAMAGED(OBSTACLE), BUNDLE_NEWER(OBSTACLE),
        BUNDLE_IN_USE(OBSTACLE),
        BUNDLE_NOT_SAVED(OBSTACLE), NOT_WORKED_OUT(OBSTACLE), RULES_NOT_READ(OBSTACLE), TABLE_NOT_READ(OBSTACLE),
        TEMPLATE_NOT_READ(OBSTACLE),
        PRESET_NOT_READ(OBSTACLE), REGISTER_NOT_READ(OBSTACLE), NUMBERS_TAKEN(OBSTACLE), STAMP_NO_PDF(LOSS), STAMP_DAMAGED(LOSS),
        STAMP_FAILED(LOSS), STAMP_SIGNED(REMARK), STAMP_REPLACED(REMARK), STAMP_DIGITS(REMARK), LINE_CUT(REMARK),
        LINES_CUT(REMARK), FACE_MISSING(REMARK), NUMBER_ON_SOMETHING(REMARK), OLD_NUMBERS(REMARK);

        private final Severity severity;

        Code(Severity severity) {
            this.severity = severity;
        }

        public Severity severity() {
            return severity;
        }
    }

    public Finding {
        Objects.requireNonNull(code, "code");
        Objects.requireNonNull(subject, "subject");
        Objects.requireNonNull(detail, "detail");
    }

    /** {@return a finding about a file that was to be read} */
    public static Finding of(Code code, Path file) {
        return of(code, file, "");
    }

    /** {@return a finding about a file that was to be read} */
    public static Finding of(Code code, Path file, String detail) {
        return new Finding(code, Subject.OfFile.of(file, 0), detail);
    }

    /** {@return a finding about something that is no file, such as the heading} */
    public static Finding about(Code code, String name, String detail) {
        return new Finding(code, new Subject.OfThing(name), detail);
    }

    public Severity severity() {
        return code.severity();
    }

    /** {@return the same of a file that was taken out of another} */
    public Finding within(String container) {
        Subject.OfFile inner = subject instanceof Subject.OfFile file ? file
                : new Subject.OfFile(subject.name(), "", subject.place(), subject.page());
        return new Finding(
                code, new Subject.OfFile(inner.name(),
                        inner.within().isEmpty() ? container : inner.within() + ", in " + container, inner.place(), inner.page()),
                detail);
    }

    /** {@return one or two sentences: what it is about, what is the matter, and what can be done} */
    public String message() {
        ResourceBundle words = ResourceBundle.getBundle("app.yellowtab.finding.findings", Locale.ROOT);
        String name = subject instanceof Subject.OfFile file && !file.within().isEmpty()
                ? file.name() + " (in " + file.within() + ")" : subject.name();
        return new MessageFormat(words.getString(code.name()), Locale.ROOT)
                .format(new Object[] {name, subject.page(), detail, subject.place()});
    }
}
