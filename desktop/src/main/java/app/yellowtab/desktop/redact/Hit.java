package app.yellowtab.desktop.redact;

import app.yellowtab.facts.PageText;
import app.yellowtab.facts.PageText.Word;
import app.yellowtab.facts.SheetState;
import app.yellowtab.find.BundleWords;
import app.yellowtab.find.WordFinder;
import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.redact.TakenOut;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.slf4j.LoggerFactory;

/** A hit of a search: its areas on the page as it is seen, and the words around it. */
public record Hit(PageKey page, List<Area> areas, String around) {
    public Hit {
        areas = List.copyOf(areas);
    }

    /** {@return all places where words stand on pages of sources; pages that cannot be read are passed over} */
    static List<Hit> all(BundleWords words, String sought, List<Leaf> leaves, Map<SourceId, Source> sources) {
        List<Hit> hits = new ArrayList<>();
        WordFinder finder = new WordFinder(sought);
        for (Leaf leaf : leaves) {
            if (leaf.key().isEmpty() || !(leaf.content() instanceof Content.SourcePage page)
                    || !sources.containsKey(page.source()))
                continue;
            try {
                for (WordFinder.Hit hit : finder.on(words.of(leaf)))
                    hits.add(new Hit(leaf.key().get(), TakenOut.overLines(hit.words(), SheetState.SOUND, 0, 0), hit.around()));
            } catch (IOException | RuntimeException | Error unreadable) {
                LoggerFactory.getLogger(Hit.class).info("no hits there: {}", leaf.index(), unreadable);
            }
        }
        return hits;
    }

    /** {@return the areas that take words out, as they are seen, line by line} */
    static List<Area> areas(List<List<Word>> lines) {
        return lines.stream().filter(line -> !line.isEmpty()).map(line -> TakenOut.over(line, SheetState.SOUND, 0, 0)).toList();
    }

    /** {@return the word of a page that stands at a place, in millimetres} */
    static Optional<Word> wordAt(PageText text, double leftMm, double topMm) {
        for (List<Word> line : text.lines()) {
            for (Word word : line) {
                double reach = word.heightMm() / 3;
                if (leftMm >= word.leftMm() && leftMm <= word.rightMm() && topMm >= word.topMm() - reach
                        && topMm <= word.topMm() + word.heightMm() + reach)
                    return Optional.of(word);
            }
        }
        return Optional.empty();
    }
}
