package app.yellowtab.edit.page;

import app.yellowtab.facts.Length;
import app.yellowtab.facts.PageShape;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.cut.Batch;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.LookedPage;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.page.Redaction;
import app.yellowtab.model.page.Spared;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.Runs;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import java.awt.geom.AffineTransform;
import java.awt.geom.NoninvertibleTransformException;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/** Says what is taken out of pages, and takes that back. */
public final class Redacting {
    private static final double TENTHS = 10;

    private Redacting() {}

    /**
     * {@return the bundle with areas of a page redacted, and of the other half of its sheet where that was divided} What lies off
     * the page is left out; so is what is redacted already.
     *
     * @param seen in millimetres from the upper left of the page as it is seen
     */
    public static Bundle redacted(Bundle bundle, PageKey page, List<Area> seen, String reason, boolean printed) {
        Optional<SourcePages> its = find(bundle, page);
        Optional<PageShape> shape = its.flatMap(pages -> shape(bundle, pages, page.page()));
        if (shape.isEmpty()) return bundle;
        List<Redaction> more = new ArrayList<>();
        for (Area area : seen)
            came(shape.get(), its.get().look(), area).ifPresent(came -> more.add(new Redaction(came, reason, printed)));
        return changed(bundle, halves(bundle, page), before -> union(before, more));
    }

    /**
     * {@return the bundle with areas of a page redacted as another page has it}
     *
     * @param came in millimetres from the upper left of the page as it came
     * @param like has their reason
     */
    public static Bundle redactedLike(Bundle bundle, PageKey page, List<Area> came, Redaction like) {
        Optional<PageShape> shape = find(bundle, page).flatMap(pages -> shape(bundle, pages, page.page()));
        if (shape.isEmpty()) return bundle;
        List<Redaction> more = new ArrayList<>();
        for (Area area : came)
            came(shape.get(), PageLook.PLAIN, area).ifPresent(on -> more.add(new Redaction(on, like.reason(), like.printed())));
        return changed(bundle, halves(bundle, page), before -> union(before, more));
    }

    /** {@return the bundle with words of a page left to be seen although they are redacted elsewhere} */
    public static Bundle spared(Bundle bundle, PageKey page, List<Spared> more) {
        return PageEdits.looked(bundle, halves(bundle, page), look -> look.withSpared(
                Stream.concat(look.spared().stream().filter(known -> !more.contains(known)), more.stream()).toList()));
    }

    /** {@return the bundle with nothing decided of words of a page that are redacted elsewhere} */
    public static Bundle undecided(Bundle bundle, PageKey page, List<Spared> before) {
        return PageEdits.looked(bundle, halves(bundle, page),
                look -> look.withSpared(look.spared().stream().filter(known -> !before.contains(known)).toList()));
    }

    /** {@return the bundle with an area of a page taken back} */
    public static Bundle takenBack(Bundle bundle, PageKey page, Area came) {
        return changed(bundle, halves(bundle, page),
                before -> before.stream().filter(known -> !known.area().equals(came)).toList());
    }

    /** {@return the bundle with all areas of pages taken back} */
    public static Bundle allTakenBack(Bundle bundle, Set<PageKey> pages) {
        return changed(bundle, pages, before -> List.of());
    }

    /** {@return the bundle with another reason for an area of a page} */
    public static Bundle reasoned(Bundle bundle, PageKey page, Area came, String reason, boolean printed) {
        return changed(bundle, halves(bundle, page), before -> before.stream()
                .map(known -> known.area().equals(came) ? new Redaction(came, reason, printed) : known).toList());
    }

    /** {@return the bundle with all that is redacted on a page redacted on other pages too, which show the same} */
    public static Bundle alsoOn(Bundle bundle, PageKey page, Set<PageKey> others) {
        List<Redaction> redactions = on(bundle, page);
        return changed(bundle, others, before -> union(before, redactions));
    }

    /**
     * {@return a batch of which pages are redacted and withheld as documents of a bundle have them} A page is the same where it
     * is of the same file, or shows the same.
     */
    public static Batch alsoIn(Bundle bundle, Batch batch) {
        Map<PageKey, PageLook> looks = hiding(bundle, batch.runs());
        return looks.isEmpty() ? batch : batch.withLooks(looks);
    }

    /** {@return a document of which pages are redacted and withheld as those of a bundle that are the same have it} */
    public static Document alsoIn(Bundle bundle, Document document) {
        Map<PageKey, PageLook> looks = hiding(bundle,
                document.runs().stream().filter(SourcePages.class::isInstance).map(SourcePages.class::cast).toList());
        List<Run> runs = new ArrayList<>();
        for (Run run : document.runs()) {
            if (!(run instanceof SourcePages its)) {
                runs.add(run);
                continue;
            }
            for (int page = its.first(); page <= its.last(); page++)
                runs.add(its.part(page, page).withLook(looks.getOrDefault(new PageKey(its.id(), page), its.look())));
        }
        return looks.isEmpty() ? document : document.withRuns(Runs.merged(runs));
    }

    /** {@return the looks of pages of which something is hidden, or left for a reason, in documents of a bundle} */
    private static Map<PageKey, PageLook> hiding(Bundle bundle, List<SourcePages> runs) {
        Map<SourceId, Source> sources = bundle.sourcesById();
        Map<String, PageLook> hidden = new HashMap<>();
        for (Document document : bundle.contents().allDocuments()) for (Run run : document.runs())
            if (run instanceof SourcePages pages && (isHiding(pages.look()) || !pages.look().spared().isEmpty()))
                for (int page = pages.first(); page <= pages.last(); page++)
                    for (String name : names(sources, pages.source(), page)) hidden.merge(name, pages.look(), Redacting::both);
        Map<PageKey, PageLook> looks = new HashMap<>();
        for (SourcePages run : hidden.isEmpty() ? List.<SourcePages>of() : runs)
            for (int n = 1; n <= run.pageCount(); n++) for (String name : names(sources, run.source(), run.key(n).page()))
                if (hidden.containsKey(name))
                    looks.put(run.key(n), both(looks.getOrDefault(run.key(n), run.look()), hidden.get(name)));
        return looks;
    }

    private static boolean isHiding(PageLook look) {
        return !look.redactions().isEmpty() || look.withheld().isPresent();
    }

    /** {@return the first look, with what the second hides hidden too} */
    private static PageLook both(PageLook look, PageLook other) {
        return look.withRedactions(union(look.redactions(), other.redactions()))
                .withWithheld(look.withheld().or(other::withheld))
                .withSpared(Stream.concat(look.spared().stream(), other.spared().stream()).distinct().toList());
    }

    /** {@return redactions, and those of others whose areas are not among them} */
    private static List<Redaction> union(List<Redaction> redactions, List<Redaction> more) {
        List<Redaction> all = new ArrayList<>(redactions);
        for (Redaction redaction : more)
            if (all.stream().noneMatch(known -> known.area().equals(redaction.area()))) all.add(redaction);
        return all;
    }

    /** {@return what a page is known by: its place in its file, and what it shows} */
    private static List<String> names(Map<SourceId, Source> sources, SourceId id, int page) {
        List<String> names = new ArrayList<>(List.of(id.value() + " " + page));
        Source source = sources.get(id);
        if (source != null) source.about().pages().likePrint(page).ifPresent(names::add);
        return names;
    }

    private static Bundle changed(Bundle bundle, Set<PageKey> pages, UnaryOperator<List<Redaction>> change) {
        return PageEdits.looked(bundle, pages, look -> look.withRedactions(change.apply(look.redactions())));
    }

    /** {@return what is redacted on a page; nothing of pages of ours} */
    public static List<Redaction> on(Bundle bundle, PageKey page) {
        return find(bundle, page).map(pages -> pages.look().redactions()).orElse(List.of());
    }

    /** {@return whether anything is redacted on pages of a source, in the index or in the tray} */
    public static boolean isRedacted(Bundle bundle, SourceId source) {
        return Stream.concat(bundle.contents().allDocuments().stream(), bundle.setAside().stream())
                .flatMap(document -> document.runs().stream())
                .anyMatch(run -> run instanceof SourcePages pages && pages.source().equals(source)
                        && !pages.look().redactions().isEmpty());
    }

    private static Optional<SourcePages> find(Bundle bundle, PageKey page) {
        for (Document document : bundle.contents().allDocuments()) {
            for (Run run : document.runs()) if (run instanceof SourcePages its && its.id().equals(page.run())
                    && its.first() <= page.page() && page.page() <= its.last())
                return Optional.of(its);
        }
        return Optional.empty();
    }

    /** {@return a page, and the other half of its sheet} A crop hides what is there: what goes must go from both. */
    private static Set<PageKey> halves(Bundle bundle, PageKey page) {
        Set<PageKey> both = new HashSet<>(Set.of(page));
        for (Document document : bundle.contents().allDocuments()) {
            for (int i = 1; i < document.runs().size(); i++) {
                if (!(document.runs().get(i) instanceof SourcePages second && second.isOtherHalfOf(document.runs().get(i - 1))))
                    continue;
                PageKey one = document.runs().get(i - 1).key(1);
                PageKey other = second.key(1);
                if (one.equals(page) || other.equals(page)) both.addAll(List.of(one, other));
            }
        }
        return both;
    }

    private static Optional<PageShape> shape(Bundle bundle, SourcePages pages, int page) {
        Source source = bundle.sourcesById().get(pages.source());
        return source == null ? Optional.empty() : source.about().pages().shape(page);
    }

    /**
     * {@return an area as it lies on the page as it came; empty where it is off the page} One that lies askew there becomes the
     * area around it.
     */
    public static Optional<Area> came(PageShape shape, PageLook look, Area seen) {
        LookedPage looked = LookedPage.of(shape.seenWidthPt(), shape.seenHeightPt(), look);
        try {
            AffineTransform back = looked.matrix().createInverse();
            Rectangle2D whole = new Rectangle2D.Double(0, 0, shape.seenWidthPt(), shape.seenHeightPt());
            Rectangle2D box = back.createTransformedShape(LookedPage.asCame(seen, looked.heightPt())).getBounds2D()
                    .createIntersection(whole);
            return box.getWidth() > 0 && box.getHeight() > 0 ? Optional.of(area(box, shape.seenHeightPt())) : Optional.empty();
        } catch (NoninvertibleTransformException e) {
            throw new IllegalStateException("looks can be undone", e);
        }
    }

    /** {@return where an area of the page as it came is seen; empty where it is not} */
    public static Optional<Area> seen(PageShape shape, PageLook look, Area came) {
        LookedPage looked = LookedPage.of(shape.seenWidthPt(), shape.seenHeightPt(), look);
        Rectangle2D box = looked.matrix().createTransformedShape(LookedPage.asCame(came, shape.seenHeightPt())).getBounds2D()
                .createIntersection(looked.shown());
        return box.getWidth() > 0 && box.getHeight() > 0 ? Optional.of(new Area(box.getMinX() / Length.PT_PER_MM,
                (looked.heightPt() - box.getMaxY()) / Length.PT_PER_MM, box.getWidth() / Length.PT_PER_MM,
                box.getHeight() / Length.PT_PER_MM))
                : Optional.empty();
    }

    /** {@return a box in tenths of a millimetre, rounded outward: nothing that was drawn over may stand beside it} */
    private static Area area(Rectangle2D box, double heightPt) {
        double left = Math.floor(box.getMinX() / Length.PT_PER_MM * TENTHS) / TENTHS;
        double top = Math.floor((heightPt - box.getMaxY()) / Length.PT_PER_MM * TENTHS) / TENTHS;
        double right = Math.ceil(box.getMaxX() / Length.PT_PER_MM * TENTHS) / TENTHS;
        double bottom = Math.ceil((heightPt - box.getMinY()) / Length.PT_PER_MM * TENTHS) / TENTHS;
        return new Area(left, top, Math.max(1 / TENTHS, right - left), Math.max(1 / TENTHS, bottom - top));
    }
}
