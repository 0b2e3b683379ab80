package app.yellowtab.edit.repage;

import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.number.GivenNumber;
import app.yellowtab.model.run.LookAgain;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceReading;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** What somebody says of pages that had to be looked at. */
public final class Looking {
    private Looking() {}

    /** {@return the bundle in which somebody has looked at what hides something of a page, or hid it, and leaves it as it is} */
    public static Bundle seen(Bundle bundle, LookAgain again) {
        return answered(bundle, again, false, again.numbered());
    }

    /**
     * {@return the bundle in which it was said whether a page that has changed keeps the numbers that were issued to it}
     *
     * @param keeps as a better scan of the same page does; another page gets a new number, and the old one stays used
     */
    public static Bundle numbered(Bundle bundle, LookAgain again, boolean keeps) {
        Optional<SourceReading> now = again.page().flatMap(page -> reading(bundle, page));
        if (now.isEmpty()) return answered(bundle, again, again.hidden(), false);
        int page = again.page().get().page();
        List<GivenNumber> its = bundle.numbering().given().stream()
                .filter(given -> given.isOf(again.before()) && given.page() == again.was())
                .map(given -> given.of(now.get(), page)).toList();
        Set<GivenNumber> given = new LinkedHashSet<>(bundle.numbering().given());
        if (keeps) given.addAll(its);
        else its.forEach(given::remove);
        return answered(bundle.withNumbering(bundle.numbering().withGiven(List.copyOf(given))), again, again.hidden(), false);
    }

    private static Optional<SourceReading> reading(Bundle bundle, PageKey page) {
        return Stream.concat(bundle.contents().allDocuments().stream(), bundle.setAside().stream()).map(Document::runs)
                .flatMap(List::stream)
                .filter(run -> run instanceof SourcePages pages && pages.id().equals(page.run()) && pages.first() <= page.page()
                        && page.page() <= pages.last())
                .map(run -> bundle.sourcesById().get(((SourcePages) run).source())).map(Source::asRead).findFirst();
    }

    private static Bundle answered(Bundle bundle, LookAgain again, boolean hidden, boolean numbered) {
        List<LookAgain> left = new ArrayList<>();
        for (LookAgain known : bundle.toLookAt()) {
            if (!known.equals(again)) left.add(known);
            else if (hidden || numbered)
                left.add(new LookAgain(again.document(), again.page(), again.before(), again.was(), hidden, numbered));
        }
        return bundle.withToLookAt(left);
    }
}
