package app.yellowtab.desktop.table;

import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.page.Cropping;
import app.yellowtab.edit.page.Margins;
import app.yellowtab.edit.page.PageEdits;
import app.yellowtab.edit.page.PageSpot;
import app.yellowtab.find.BundleWords;
import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.leaf.LeafSheet;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.leaf.PlannedEntry.PlannedDocument;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.page.Sheet;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Plan;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.IntConsumer;
import java.util.function.IntPredicate;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.util.Subscription;
import org.slf4j.LoggerFactory;

/**
 * Which pages lie on the table, which of them are chosen, and what is done with them. Places are counted from 1. Knows no node.
 * For the JavaFX thread.
 */
public final class PagesDesk {
    /** More pages than this are worked on in the background: what is done with a thousand would be felt. */
    private static final int MANY = 50;

    /**
     * What lies on the table.
     *
     * @param open      whether the table is there
     * @param documents whose pages lie on it, in order
     * @param leaves    the pages
     * @param chosen    the names of those that are chosen
     */
    public record Shown(boolean open, Plan plan, List<PlannedDocument> documents, List<Leaf> leaves, List<Integer> starts,
            Set<PageKey> chosen) {
        public Shown {
            documents = List.copyOf(documents);
            leaves = List.copyOf(leaves);
            starts = List.copyOf(starts);
            chosen = Set.copyOf(chosen);
        }

        /** {@return the name for ever of a page} */
        PageKey key(int place) {
            return leaves.get(place - 1).key().orElseThrow();
        }

        boolean isChosen(int place) {
            return chosen.contains(key(place));
        }

        /** {@return which of the documents a page is of, counted from 0} */
        int document(int place) {
            int low = 0;
            int high = starts.size() - 1;
            while (low < high) {
                int middle = (low + high + 1) / 2;
                if (starts.get(middle) <= place) low = middle;
                else high = middle - 1;
            }
            return low;
        }

        /** {@return the place before a page, or behind it, in its document} */
        PageSpot spot(int place, boolean before) {
            int of = document(place);
            int next = before ? place : place + 1;
            boolean within = next <= leaves.size() && document(next) == of;
            return new PageSpot(documents.get(of).id(), within ? Optional.of(key(next)) : Optional.empty());
        }
    }

    /** Which pages are chosen at once. */
    public enum Kind { ALL, NONE, ODD, EVEN, LANDSCAPE, BLANK, SAME_SIZE, SAME_FILE }

    /** Pages whose sides differ by less are of one size. */
    private static final double ALIKE_MM = 2;

    private final Workspace workspace;
    private final BundleWords words;
    private final ReadOnlyObjectWrapper<Shown> shown;
    private Set<EntryId> scope = Set.of();
    private boolean open;
    private Set<PageKey> chosen = Set.of();
    private int anchor = 1;
    private final Subscription subscription;

    public PagesDesk(Workspace workspace) {
        this.workspace = workspace;
        this.words = new BundleWords(workspace.folder());
        shown = new ReadOnlyObjectWrapper<>(this, "shown", nothing(workspace.plan()));
        subscription = workspace.onPlan(plan -> show());
    }

    private static Shown nothing(Plan plan) {
        return new Shown(false, plan, List.of(), List.of(), List.of(), Set.of());
    }

    public void dispose() {
        subscription.unsubscribe();
    }

    public ReadOnlyObjectProperty<Shown> shownProperty() {
        return shown.getReadOnlyProperty();
    }

    /** Lays the pages of entries on the table, of sections all that is in them; of the whole bundle where there are none. */
    public void open(Set<EntryId> entries) {
        scope = Set.copyOf(entries);
        open = true;
        chosen = Set.of();
        anchor = 1;
        show();
    }

    /** Takes the pages from the table. */
    public void close() {
        open = false;
        show();
    }

    private void show() {
        Plan plan = workspace.plan();
        if (!open) {
            if (shown.get().open()) shown.set(nothing(plan));
            return;
        }
        List<PlannedDocument> documents = new ArrayList<>();
        List<Leaf> leaves = new ArrayList<>();
        List<Integer> starts = new ArrayList<>();
        Set<PageKey> there = new HashSet<>();
        int within = -1;
        for (PlannedEntry entry : plan.entries()) {
            if (entry.depth() <= within) within = -1;
            boolean wanted = scope.isEmpty() || within >= 0 || scope.contains(entry.id());
            if (wanted && within < 0 && entry instanceof PlannedEntry.PlannedSection) within = entry.depth();
            if (!wanted || !(entry instanceof PlannedDocument document) || document.span().isEmpty()) continue;
            documents.add(document);
            starts.add(leaves.size() + 1);
            for (int i = document.span().first(); i <= document.span().last(); i++) {
                Leaf leaf = plan.leaf(i);
                leaves.add(leaf);
                leaf.key().filter(chosen::contains).ifPresent(there::add);
            }
        }
        chosen = there;
        shown.set(new Shown(true, plan, documents, leaves, starts, there));
    }

    private void choose(Set<PageKey> keys) {
        chosen = Set.copyOf(keys);
        Shown now = shown.get();
        shown.set(new Shown(now.open(), now.plan(), now.documents(), now.leaves(), now.starts(), chosen));
    }

    /** Chooses one page, and no other. */
    public void choose(int place) {
        anchor = place;
        choose(Set.of(shown.get().key(place)));
        workspace.goTo(shown.get().leaves().get(place - 1).index());
    }

    /** Chooses a page beside the others, or lets it go. */
    public void toggle(int place) {
        anchor = place;
        Set<PageKey> keys = new HashSet<>(chosen);
        PageKey key = shown.get().key(place);
        if (!keys.remove(key)) keys.add(key);
        choose(keys);
    }

    /** Chooses all from the page that was chosen last up to another. */
    public void extendTo(int place) {
        Shown now = shown.get();
        Set<PageKey> keys = new HashSet<>();
        for (int i = Math.min(anchor, place); i <= Math.min(Math.max(anchor, place), now.leaves().size()); i++)
            keys.add(now.key(i));
        choose(keys);
        workspace.goTo(now.leaves().get(place - 1).index());
    }

    /** Chooses all pages of a kind that lie on the table. */
    public void choose(Kind kind) {
        if (kind == Kind.BLANK) {
            chooseBlank();
            return;
        }
        Shown now = shown.get();
        Map<SourceId, Source> sources = workspace.bundle().sourcesById();
        Set<SourceId> files = new HashSet<>();
        for (int i = 1; i <= now.leaves().size(); i++)
            if (now.isChosen(i) && now.leaves().get(i - 1).content() instanceof Content.SourcePage page) files.add(page.source());
        Set<Sheet> sizes = new HashSet<>();
        for (int i = 1; kind == Kind.SAME_SIZE && i <= now.leaves().size(); i++)
            if (now.isChosen(i)) LeafSheet.of(now.leaves().get(i - 1), sources).ifPresent(sizes::add);
        IntPredicate wanted = switch (kind) {
            case ALL -> place -> true;
            case NONE -> place -> false;
            case ODD -> place -> number(now, place) % 2 == 1;
            case EVEN -> place -> number(now, place) % 2 == 0;
            case LANDSCAPE -> place -> LeafSheet.of(now.leaves().get(place - 1), sources)
                    .filter(sheet -> sheet.widthMm() > sheet.heightMm()).isPresent();
            case BLANK -> throw new IllegalStateException("chosen otherwise");
            case SAME_SIZE -> place -> LeafSheet.of(now.leaves().get(place - 1), sources)
                    .filter(sheet -> sizes.stream().anyMatch(size -> isAlike(size, sheet))).isPresent();
            case SAME_FILE -> place -> now.leaves().get(place - 1).content() instanceof Content.SourcePage page
                    && files.contains(page.source());
        };
        Set<PageKey> keys = new HashSet<>();
        for (int i = 1; i <= now.leaves().size(); i++) if (wanted.test(i)) keys.add(now.key(i));
        choose(keys);
    }

    private static boolean isAlike(Sheet one, Sheet other) {
        return Math.abs(one.widthMm() - other.widthMm()) < ALIKE_MM && Math.abs(one.heightMm() - other.heightMm()) < ALIKE_MM;
    }

    /** Chooses the pages on which nothing is, or nothing but dirt; they are looked at in the background. */
    private void chooseBlank() {
        Shown now = shown.get();
        workspace.jobs().quietly(() -> {
            Set<PageKey> blank = new HashSet<>();
            for (int i = 1; i <= now.leaves().size(); i++) if (isBlank(now.leaves().get(i - 1))) blank.add(now.key(i));
            return blank;
        }, blank -> {
            if (shown.get().open()) choose(blank);
        });
    }

    private boolean isBlank(Leaf leaf) {
        if (leaf.content() instanceof Content.Blank) return true;
        if (!(leaf.content() instanceof Content.SourcePage page)) return false;
        try {
            return words.page(page.source(), page.page()).filter(read -> read.isBlank()).isPresent();
        } catch (IOException | RuntimeException | Error unreadable) {
            LoggerFactory.getLogger(PagesDesk.class).info("not known whether it is blank: {}", leaf.index(), unreadable);
            return false;
        }
    }

    /** {@return the number that a page bears; its place in the bundle where it bears none} */
    private static int number(Shown now, int place) {
        Leaf leaf = now.leaves().get(place - 1);
        return leaf.number().map(number -> number.value()).orElse(leaf.index() + 1);
    }

    private void edit(UnaryOperator<Bundle> change) {
        if (chosen.isEmpty()) return;
        if (chosen.size() > MANY) workspace.editSoon("edit.pages", change);
        else workspace.edit(change);
    }

    /** Turns what is chosen by quarters, clockwise. */
    public void turn(int quarters) {
        Set<PageKey> pages = chosen;
        edit(bundle -> PageEdits.turned(bundle, pages, quarters));
    }

    /** Takes out what is chosen. */
    public void takeOut() {
        Set<PageKey> pages = chosen;
        edit(bundle -> PageEdits.takenOut(bundle, pages));
    }

    /** Takes out all other pages of the documents that have any of those that are chosen. */
    public void keepOnly() {
        Set<PageKey> pages = chosen;
        edit(bundle -> PageEdits.keptOnly(bundle, pages));
    }

    /** Puts what is chosen the other way round. */
    public void reverse() {
        Set<PageKey> pages = chosen;
        edit(bundle -> PageEdits.reversed(bundle, pages));
    }

    /** Withholds the chosen pages for a reason, which may be empty; shows them again for none. */
    public void withhold(Optional<String> reason) {
        Set<PageKey> pages = chosen;
        edit(bundle -> PageEdits.withheld(bundle, pages, reason));
    }

    /** Undoes all that was done to the looks of what is chosen. */
    public void asTheyCame() {
        Set<PageKey> pages = chosen;
        edit(bundle -> PageEdits.asTheyCame(bundle, pages));
    }

    /**
     * Crops what is chosen, in the background.
     *
     * @param mirrored whether left and right are exchanged on pages with even numbers
     * @param left     is told how many pages were left as they are
     */
    public void crop(Margins margins, boolean mirrored, IntConsumer left) {
        Set<PageKey> pages = chosen;
        if (pages.isEmpty()) return;
        Shown now = shown.get();
        Set<PageKey> even = new HashSet<>();
        for (int i = 1; mirrored && i <= now.leaves().size(); i++)
            if (now.isChosen(i) && number(now, i) % 2 == 0) even.add(now.key(i));
        Set<PageKey> odd = new HashSet<>(pages);
        odd.removeAll(even);
        AtomicInteger count = new AtomicInteger();
        workspace.editSoon("edit.crop", bundle -> {
            Cropping.Cropped cropped = Cropping.byMargins(bundle, odd, margins);
            Cropping.Cropped both = even.isEmpty() ? cropped : Cropping.byMargins(cropped.bundle(), even,
                    new Margins(margins.rightMm(), margins.topMm(), margins.leftMm(), margins.bottomMm()));
            count.set(cropped.left() + (even.isEmpty() ? 0 : both.left()));
            return both.bundle();
        }, worked -> {
            if (worked) left.accept(count.get());
        });
    }

    /** Has all of what is chosen seen again. */
    public void cropOff() {
        Set<PageKey> pages = chosen;
        edit(bundle -> Cropping.takenOff(bundle, pages));
    }

    /** Moves what is chosen before a page, or behind it. */
    public void moveTo(int place, boolean before) {
        Set<PageKey> pages = chosen;
        PageSpot spot = shown.get().spot(place, before);
        edit(bundle -> PageEdits.moved(bundle, pages, spot));
    }

    /** Moves what is chosen by one page, forward or back, into the document beside it where its own ends. */
    public void step(boolean forward) {
        Shown now = shown.get();
        List<Integer> places = new ArrayList<>();
        for (int i = 1; i <= now.leaves().size(); i++) if (now.isChosen(i)) places.add(i);
        if (places.isEmpty()) return;
        int beside = forward ? places.getLast() + 1 : places.getFirst() - 1;
        int own = now.document(forward ? places.getLast() : places.getFirst());
        if (beside < 1 || beside > now.leaves().size()) return;
        // At the end of a document one step leads into the next, before its first page; and back behind the last of the one
        // before.
        boolean over = now.document(beside) != own;
        moveTo(beside, forward == over);
    }

    /** Copies what is chosen right behind it. */
    public void copy() {
        Shown now = shown.get();
        int last = 0;
        for (int i = 1; i <= now.leaves().size(); i++) if (now.isChosen(i)) last = i;
        if (last == 0) return;
        Set<PageKey> pages = chosen;
        PageSpot spot = now.spot(last, false);
        edit(bundle -> PageEdits.copied(bundle, pages, spot));
    }
}
