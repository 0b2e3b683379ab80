package app.yellowtab.model.number;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A number that is typed as it should look and counts on from there: what stands before its figures and behind them stays.
 *
 * @param prefix  before the figures; may be empty
 * @param value   the figures
 * @param digits  at least so many, with noughts before them
 * @param suffix  behind the figures; may be empty
 */
public record SerialNumber(String prefix, long value, int digits, String suffix) {
    private static final Pattern FIGURES = Pattern.compile("\\d+");
    private static final int MOST_DIGITS = 15;
    private static final int LONGEST = 40;

    /**
     * {@return a number as it is typed, such as "TH-000101" or "000101/D"; empty for what has no figures, too many, or letters
     * that nobody sees} The longest figures count, of several as long the last.
     */
    public static Optional<SerialNumber> read(String typed) {
        String words = typed.strip();
        if (words.length() > LONGEST || words.codePoints()
                .anyMatch(letter -> Character.isISOControl(letter) || Character.getType(letter) == Character.FORMAT
                        || Character.getDirectionality(letter) == Character.DIRECTIONALITY_RIGHT_TO_LEFT))
            return Optional.empty();
        int first = -1;
        int end = -1;
        for (Matcher figures = FIGURES.matcher(words); figures.find();) {
            if (figures.end() - figures.start() < end - first) continue;
            first = figures.start();
            end = figures.end();
        }
        if (first < 0 || end - first > MOST_DIGITS) return Optional.empty();
        return Optional.of(new SerialNumber(words.substring(0, first), Long.parseLong(words.substring(first, end)), end - first,
                words.substring(end)));
    }

    /** {@return the number that stands so many places on} */
    public SerialNumber plus(long more) {
        return new SerialNumber(prefix, value + more, digits, suffix);
    }

    /** {@return how it looks} */
    public String shown() {
        String figures = Long.toString(value);
        return prefix + "0".repeat(Math.max(0, digits - figures.length())) + figures + suffix;
    }

    /** {@return how many numbers there are from this one on before there are more digits than were typed} */
    public long room() {
        return Long.parseLong("9".repeat(digits)) - value + 1;
    }

    /** {@return the figures of a number that looks like this one but for them; -1 for one that does not} */
    public long figuresOf(String number) {
        int end = number.length() - suffix.length();
        if (!number.startsWith(prefix) || !number.endsWith(suffix) || end <= prefix.length()
                || end - prefix.length() > MOST_DIGITS)
            return -1;
        long figures = 0;
        for (int i = prefix.length(); i < end; i++) {
            char letter = number.charAt(i);
            if (letter < '0' || letter > '9') return -1;
            figures = figures * 10 + letter - '0';
        }
        return figures;
    }

    /** {@return whether another is of the same kind, so that they could be the same} */
    public boolean isLike(SerialNumber other) {
        return prefix.toLowerCase(Locale.ROOT).equals(other.prefix.toLowerCase(Locale.ROOT))
                && suffix.toLowerCase(Locale.ROOT).equals(other.suffix.toLowerCase(Locale.ROOT));
    }
}
