package app.yellowtab.find;

import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.Subject;
import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.model.cut.Batch;
import app.yellowtab.model.cut.BatchOrder;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.plan.Plan;
import app.yellowtab.words.BatchPage;
import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import org.slf4j.LoggerFactory;

/**
 * Where the pieces of a batch would still say what is redacted in the bundle: on their pages, in their names, and in the e-mails
 * that they are attached to. Stateless.
 */
public final class PieceLeaks {
    private PieceLeaks() {}

    /**
     * Something that leaves with pieces.
     *
     * @param what such as "The name of piece 3"
     */
    public record Said(String what, String words) {}

    /**
     * {@return what is found, and which pages could not be looked through}
     *
     * @param plan    of the bundle
     * @param words   of the bundle
     * @param cut     the batch, hidden on its pages what is hidden in the bundle
     * @param ofBatch words of its files
     * @param said    what leaves beside its pages
     * @param stop    asked at every page
     */
    public static List<Finding> in(Plan plan, BundleWords words, Batch cut, BundleWords ofBatch, List<Said> said,
            BooleanSupplier stop) {
        Recurrences recurrences = new Recurrences(plan, words, stop);
        if (!recurrences.isAnyRedacted()) return List.of();
        PassageFinder finder = new PassageFinder(recurrences.passages());
        List<Finding> found = new ArrayList<>();
        Map<String, Said> once = new LinkedHashMap<>();
        said.forEach(one -> once.putIfAbsent(one.words(), one));
        for (Said one : once.values()) RedactedWords.repeated(one.words(), finder, recurrences::tells).ifPresent(clean -> found
                .add(Finding.about(Code.REDACTED_AROUND, one.what(),
                        "\"" + one.words() + "\", which could be \"" + clean + "\"")));
        List<SourcePages> pages = BatchOrder.singles(cut);
        for (int i = 0; i < pages.size() && !stop.getAsBoolean(); i++) {
            SourcePages page = pages.get(i);
            if (page.look().withheld().isPresent()) continue;
            String name = page.first() + " of " + ofBatch.fileName(page.source());
            try {
                Optional<BatchPage> read = ofBatch.page(page.source(), page.first());
                if (read.isEmpty()) continue;
                Leaf leaf = new Leaf(i, Optional.of(page.key(1)), Optional.empty(), false,
                        Content.of(EntryId.fresh(), page.source(), page.first(), page.look()));
                recurrences.on(leaf, read.get(), finder).stream().filter(again -> !again.isDecided()).findFirst()
                        .ifPresent(again -> found.add(new Finding(Code.REDACTED_AGAIN, new Subject.OfThing(name),
                                "\"" + again.words() + "\", which is redacted on page " + again.there() + " of the bundle")));
            } catch (IOException | RuntimeException | Error unreadable) {
                LoggerFactory.getLogger(PieceLeaks.class).info("not compared: page {}", name, unreadable);
                found.add(new Finding(Code.REDACTED_NOT_LOOKED, new Subject.OfThing("Page " + name), "its words"));
            }
        }
        return found;
    }
}
