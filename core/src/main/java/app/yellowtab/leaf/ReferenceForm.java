package app.yellowtab.leaf;

import java.util.Objects;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * How somebody writes where a page stands, such as "[B/45]" or "(bundle B, p. 45)". Learned from one reference that they have
 * written.
 *
 * @param before  what stands first
 * @param between what stands between the two; of no meaning where the section is left out
 * @param after   what stands last
 * @param order   which of the two comes first
 */
public record ReferenceForm(String before, String between, String after, Order order) {
    /** What a reference names, and in which order. */
    public enum Order { SECTION_PAGE, PAGE_SECTION, PAGE }

    /** Square brackets, as references stand in written argument. */
    public static final ReferenceForm STANDARD = new ReferenceForm("[", "/", "]", Order.SECTION_PAGE);

    public ReferenceForm {
        Objects.requireNonNull(before, "before");
        Objects.requireNonNull(between, "between");
        Objects.requireNonNull(after, "after");
        Objects.requireNonNull(order, "order");
    }

    /**
     * {@return the reference of a page}
     *
     * @param section the letter of the section that it stands in; empty for none, and then it is left out
     * @param page    the number that is printed on it
     */
    public String of(String section, String page) {
        if (section.isEmpty()) return before + page + after;
        return switch (order) {
            case SECTION_PAGE -> before + section + between + page + after;
            case PAGE_SECTION -> before + page + between + section + after;
            case PAGE -> before + page + after;
        };
    }

    /** {@return the form of a reference that somebody has written for a page; empty where it does not name the page} */
    public static Optional<ReferenceForm> of(String written, String section, String page) {
        Optional<int[]> number = find(written, page, 0, written.length());
        if (page.isEmpty() || number.isEmpty()) return Optional.empty();
        int from = number.get()[0];
        int to = number.get()[1];
        Optional<int[]> letterBefore = section.isEmpty() ? Optional.empty() : find(written, section, 0, from);
        Optional<int[]> letterAfter = section.isEmpty() ? Optional.empty() : find(written, section, to, written.length());
        if (letterBefore.isPresent()) {
            return Optional.of(new ReferenceForm(written.substring(0, letterBefore.get()[0]),
                    written.substring(letterBefore.get()[1], from), written.substring(to), Order.SECTION_PAGE));
        }
        return Optional.of(letterAfter
                .map(letter -> new ReferenceForm(written.substring(0, from), written.substring(to, letter[0]),
                        written.substring(letter[1]), Order.PAGE_SECTION))
                .orElseGet(() -> new ReferenceForm(written.substring(0, from), "", written.substring(to), Order.PAGE)));
    }

    /** {@return where a word stands last within a text, whole; empty if it does not} */
    private static Optional<int[]> find(String text, String word, int from, int to) {
        if (word.isEmpty()) return Optional.empty();
        Matcher matcher = Pattern.compile("(?<![\\p{L}\\p{N}])" + Pattern.quote(word) + "(?![\\p{L}\\p{N}])").matcher(text)
                .region(from, to).useTransparentBounds(true);
        Optional<int[]> last = Optional.empty();
        while (matcher.find()) last = Optional.of(new int[] {matcher.start(), matcher.end()});
        return last;
    }
}
