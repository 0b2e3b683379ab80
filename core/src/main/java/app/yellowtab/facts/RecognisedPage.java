package app.yellowtab.facts;

import java.util.List;
import java.util.Objects;

/**
 * What was read in the picture of a page.
 *
 * @param text        its words; none where there are none. They stand on the page as it is upright, after the turns of its state
 * @param certainties how sure each word is, from 0 to 100, in the order of the words
 * @param languages   that were read, such as "deu+eng"
 * @param engine      that read it, and its version
 * @param state       how it lies
 */
public record RecognisedPage(PageText text, List<Integer> certainties, String languages, String engine, SheetState state) {
    private static final int SIDES = 4;

    public RecognisedPage {
        Objects.requireNonNull(languages, "languages");
        Objects.requireNonNull(engine, "engine");
        Objects.requireNonNull(state, "state");
        certainties = List.copyOf(certainties);
        if (certainties.size() * SIDES != text.sides().length) throw new IllegalArgumentException(
                "each word has a certainty, got " + certainties.size() + " for " + text.sides().length / SIDES);
    }
}
