package app.yellowtab.desktop.entry;

import app.yellowtab.desktop.entry.Arrangement.Editing;
import app.yellowtab.desktop.entry.Arrangement.Field;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.Edits;
import app.yellowtab.edit.Enclosing;
import app.yellowtab.edit.Entries;
import app.yellowtab.edit.Outline;
import app.yellowtab.edit.PagePick;
import app.yellowtab.edit.Place;
import app.yellowtab.edit.Placeholders;
import app.yellowtab.edit.SortOrder;
import app.yellowtab.edit.Sorting;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.leaf.PlannedEntry.PlannedDocument;
import app.yellowtab.leaf.PlannedEntry.PlannedSection;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.entry.Agreement;
import app.yellowtab.model.entry.EntryId;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/**
 * What is done with whole documents that are chosen on the sheet: sorted, divided, joined, sent to a section, tied to each other.
 * Knows no node.
 */
public final class EntryDesk {
    private final Workspace workspace;
    private final Arrangement arrangement;

    public EntryDesk(Workspace workspace, Arrangement arrangement) {
        this.workspace = workspace;
        this.arrangement = arrangement;
    }

    /**
     * Where entries can be sent.
     *
     * @param section empty for outside of any
     * @param words   its letter and title
     * @param depth   in how many sections it lies
     */
    public record Target(Optional<EntryId> section, String words, int depth) {}

    private Set<EntryId> chosen() {
        return arrangement.selectedProperty().get();
    }

    private Optional<Document> document() {
        return arrangement.lastSelected().filter(PlannedDocument.class::isInstance)
                .map(entry -> ((PlannedDocument) entry).document());
    }

    /** Sorts what is chosen; of a single document the section that it stands in. */
    public void sort(SortOrder by) {
        Set<EntryId> those = chosen();
        workspace.editSoon("edit.sort", bundle -> Sorting.sorted(bundle, those, by));
    }

    /** Adds an entry for a document that is still to come, below what is chosen or at the end, and begins to type its title. */
    public void addPlaceholder() {
        Document placeholder = Placeholders.placeholder(Words.of("sheet.newPlaceholder"), 1);
        Optional<EntryId> below = arrangement.lastSelected().map(PlannedEntry::id).or(arrangement::lastRow);
        workspace.edit(bundle -> Edits.insertDocuments(bundle, List.of(placeholder), Outline.documentPlaceBelow(bundle, below)));
        type(placeholder.id());
    }

    private void type(EntryId id) {
        arrangement.select(Set.of(id));
        arrangement.editingProperty().set(Optional.of(new Editing(id, Field.TITLE)));
    }

    /** {@return how many pages of the chosen document stand before the page in view; empty where it cannot be divided there} */
    public Optional<Integer> pagesBeforeView() {
        Optional<PlannedEntry> entry = arrangement.lastSelected().filter(PlannedDocument.class::isInstance);
        if (entry.isEmpty() || chosen().size() != 1) return Optional.empty();
        PlannedEntry.Span span = entry.get().span();
        int before = workspace.leaf() - span.first();
        return before > 0 && workspace.leaf() <= span.last() ? Optional.of(before) : Optional.empty();
    }

    /** Divides the chosen document before the page in view, and begins to type the title of its second part. */
    public void divide() {
        Optional<Integer> pages = pagesBeforeView();
        Optional<Document> document = document();
        if (pages.isEmpty() || document.isEmpty()) return;
        EntryId made = EntryId.fresh();
        workspace.edit(bundle -> Entries.divide(bundle, document.get().id(), pages.get(), made,
                Words.of("sheet.secondPart", document.get().title())));
        type(made);
    }

    public boolean canJoin() {
        return Entries.areNeighbours(workspace.bundle(), chosen());
    }

    /** Makes one document of neighbours. */
    public void join() {
        workspace.edit(bundle -> Entries.join(bundle, chosen()));
    }

    /**
     * {@return the title of the document that the chosen ones can be tied to; empty where there is none, or they belong to it
     * already}
     */
    public Optional<String> ownerAbove() {
        return owner().map(Document::title);
    }

    private Optional<Document> owner() {
        Bundle bundle = workspace.bundle();
        Optional<EntryId> owner = Entries.ownerAbove(bundle, chosen());
        boolean tied =
                document().flatMap(Document::belongsTo).isPresent() && document().flatMap(Document::belongsTo).equals(owner);
        return tied ? Optional.empty() : owner.flatMap(
                id -> bundle.contents().allDocuments().stream().filter(document -> document.id().equals(id)).findFirst());
    }

    public void tie() {
        owner().ifPresent(above -> workspace.edit(bundle -> Entries.tie(bundle, chosen(), above.id())));
    }

    /** {@return whether what is chosen belongs to another document} */
    public boolean isTied() {
        return document().flatMap(Document::belongsTo).isPresent();
    }

    public void part() {
        workspace.edit(bundle -> Entries.part(bundle, chosen()));
    }

    /** Notes how what is chosen stands between the parties; what was said about it before goes where nothing is said any more. */
    public void stand(Agreement.Standing standing) {
        workspace.edit(bundle -> {
            Bundle now = bundle;
            for (EntryId id : chosen()) {
                now = Edits.changeDocument(now, id, document -> document.withAgreement(
                        new Agreement(standing, standing == Agreement.Standing.OPEN ? "" : document.agreement().remark())));
            }
            return now;
        });
    }

    /** {@return how many pages of the chosen document's file stand in no document} */
    public int rest() {
        return document().map(document -> PagePick.rest(workspace.bundle(), document).count()).orElse(0);
    }

    /** Makes a document of the pages that stand in none, and begins to type its title. */
    public void takeRest() {
        Optional<Document> document = document();
        if (rest() == 0 || document.isEmpty()) return;
        EntryId made = EntryId.fresh();
        workspace.edit(bundle -> PagePick.takeRest(bundle, document.get().id(), made));
        type(made);
    }

    /**
     * Has the file of the chosen document go along as it is, instead of its pages.
     *
     * @param sheet whether a page of ours stands for it
     */
    public void enclose(boolean sheet) {
        document().ifPresent(document -> workspace.edit(bundle -> Enclosing.enclose(bundle, document.id(), sheet)));
    }

    /** {@return whether the file of the chosen document goes along as it is, and could be shown as pages} */
    public boolean canShowPages() {
        return document().filter(document -> Enclosing.hasPages(workspace.bundle(), document)).isPresent();
    }

    /** Shows the pages of a file that went along as it is. */
    public void showPages() {
        document().ifPresent(document -> workspace.edit(bundle -> Enclosing.withPages(bundle, document.id())));
    }

    /**
     * {@return where what is chosen can be sent: outside of any section, and the sections whose letter or title begins or holds
     * what is typed}
     */
    public List<Target> targets(String typed) {
        String sought = typed.strip().toLowerCase(Locale.ROOT);
        List<Target> targets = new ArrayList<>();
        String none = Words.of("sheet.noSection");
        if (none.toLowerCase(Locale.ROOT).contains(sought)) targets.add(new Target(Optional.empty(), none, 0));
        for (PlannedEntry entry : workspace.plan().entries()) {
            if (!(entry instanceof PlannedSection section)) continue;
            boolean found = section.label().toLowerCase(Locale.ROOT).startsWith(sought)
                    || section.title().toLowerCase(Locale.ROOT).contains(sought);
            if (found)
                targets.add(new Target(Optional.of(section.id()), section.label() + "  " + section.title(), section.depth()));
        }
        return targets;
    }

    /** Sends what is chosen to the end of a section; it is still chosen then. */
    public void moveTo(Target target) {
        workspace.edit(bundle -> Entries.moveTo(bundle, chosen(), target.section()));
    }

    /** Puts a copy of what is chosen at the end of a section, and chooses the copy. */
    public void copyTo(Target target) {
        Set<EntryId> made = new HashSet<>();
        workspace.edit(bundle -> {
            Entries.Copied copied = Entries.copy(bundle, chosen(), new Place(target.section(), Integer.MAX_VALUE));
            made.addAll(copied.made());
            return copied.bundle();
        });
        if (!made.isEmpty()) arrangement.select(made);
    }
}
