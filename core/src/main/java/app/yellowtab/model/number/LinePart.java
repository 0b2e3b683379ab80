package app.yellowtab.model.number;

import java.time.DateTimeException;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Objects;

/** A part of a line at head or foot. */
public sealed interface LinePart {
    /** Words as they were typed. */
    record Typed(String words) implements LinePart {
        public Typed {
            if (words.isEmpty()) throw new IllegalArgumentException("\"words\" must not be empty");
        }
    }

    /**
     * Something of the bundle.
     *
     * @param form of a date, as {@link DateTimeFormatter} has it; empty for all else
     */
    record Field(LineField of, String form) implements LinePart {
        /** Of dates that are in no other form. */
        public static final String STANDARD_FORM = "d MMMM yyyy";

        public Field {
            Objects.requireNonNull(of, "of");
            Objects.requireNonNull(form, "form");
            if (of == LineField.PRODUCED) shown(form, LocalDateTime.of(2000, 1, 1, 0, 0));
        }

        public static Field of(LineField field) {
            return new Field(field, field == LineField.PRODUCED ? STANDARD_FORM : "");
        }

        /**
         * {@return a time in a form}
         *
         * @throws IllegalArgumentException if there is no such form; its message says why
         */
        public static String shown(String form, LocalDateTime time) {
            try {
                return DateTimeFormatter.ofPattern(form, Locale.UK).format(time);
            } catch (DateTimeException | IllegalArgumentException wrong) {
                throw new IllegalArgumentException("\"" + form + "\" is no form of a date: " + wrong.getMessage(), wrong);
            }
        }
    }
}
