package app.yellowtab.desktop.entry;

import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.work.Intakes;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.DateOrder;
import app.yellowtab.edit.Edits;
import app.yellowtab.edit.Enclosing;
import app.yellowtab.edit.Entries;
import app.yellowtab.edit.Outline;
import app.yellowtab.edit.PagePick;
import app.yellowtab.edit.Place;
import app.yellowtab.edit.Placeholders;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Contents;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.InTray;
import app.yellowtab.model.contents.Section;
import app.yellowtab.model.entry.DateReader;
import app.yellowtab.model.entry.DocumentDate;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.page.PageRanges;
import app.yellowtab.model.run.EnclosedFile;
import app.yellowtab.model.run.FrontSheet;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;

/** What can be done on the index sheet and from the tray, and what is chosen there. Knows no node. */
public final class Arrangement {
    /** What of an entry is being typed. */
    public enum Field { TITLE, DATE, DESCRIPTION, PAGES, MARK, SUPPLIED }

    /** An entry of which something is being typed. */
    public record Editing(EntryId id, Field field) {}

    private final Workspace workspace;
    private final Intakes intakes;
    private final EntryDesk entries;
    private final Filling filling;
    private final ReadOnlyObjectWrapper<Set<EntryId>> selected = new ReadOnlyObjectWrapper<>(this, "selected", Set.of());
    private List<String> chosenInTray = List.of();
    private Contents ordered = Contents.EMPTY;
    private Set<EntryId> outOfOrder = Set.of();
    private final ObjectProperty<Optional<Editing>> editing = new SimpleObjectProperty<>(this, "editing", Optional.empty());

    public Arrangement(Workspace workspace, Intakes intakes) {
        this.workspace = workspace;
        this.intakes = intakes;
        this.entries = new EntryDesk(workspace, this);
        this.filling = new Filling(workspace, intakes);
    }

    public void dispose() {
        filling.dispose();
    }

    /** {@return what is done with whole documents} */
    public EntryDesk entries() {
        return entries;
    }

    /** {@return the filling of placeholders} */
    public Filling filling() {
        return filling;
    }

    public ReadOnlyObjectProperty<Set<EntryId>> selectedProperty() {
        return selected.getReadOnlyProperty();
    }

    public void select(Set<EntryId> ids) {
        selected.set(Set.copyOf(ids));
    }

    /** {@return what is being typed; set to begin, emptied to end} */
    public ObjectProperty<Optional<Editing>> editingProperty() {
        return editing;
    }

    public void beginEditing(Field field) {
        lastSelected().filter(entry -> field == Field.TITLE || entry instanceof PlannedEntry.PlannedDocument)
                .ifPresent(entry -> editing.set(Optional.of(new Editing(entry.id(), field))));
    }

    public void endEditing() {
        editing.set(Optional.empty());
    }

    /** {@return the text that typing begins with} */
    public String typedText(PlannedEntry entry, Field field) {
        return switch (entry) {
            case PlannedEntry.PlannedSection section -> section.title();
            case PlannedEntry.PlannedDocument planned -> switch (field) {
                case TITLE -> planned.title();
                case DATE -> planned.document().date().shown();
                case DESCRIPTION -> planned.document().description();
                case PAGES -> isFree(planned.document()) ? String.valueOf(Placeholders.reserved(planned.document()))
                        : PagePick.typed(planned.document());
                case MARK -> planned.document().frontSheet().map(FrontSheet::mark)
                        .orElseGet(() -> Entries.proposedMark(workspace.bundle(), planned.document()));
                case SUPPLIED -> planned.document().enclosed().map(EnclosedFile::supplied).orElse("");
            };
        };
    }

    /** {@return whether a document has nothing but pages that are kept free} */
    public static boolean isFree(Document document) {
        int ours = document.frontSheet().isPresent() ? 1 : 0;
        return document.isPlaceholder() && Placeholders.reserved(document) + ours == document.pageCount();
    }

    /** Takes typed text over; {@return what is wrong with it, and then nothing is changed; empty if it could be taken} */
    public Optional<String> commit(PlannedEntry entry, Field field, String typed) {
        String text = typed.strip();
        return switch (field) {
            case TITLE -> {
                if (!text.isEmpty()) {
                    workspace.edit(
                            bundle -> entry instanceof PlannedEntry.PlannedSection ? Edits.renameSection(bundle, entry.id(), text)
                                    : Edits.changeDocument(bundle, entry.id(), document -> document.withTitle(text)));
                }
                yield Optional.empty();
            }
            case DATE -> {
                Optional<DocumentDate> date = DateReader.read(text, workspace.bundle().reading().monthFirst());
                date.ifPresent(read -> workspace
                        .edit(bundle -> Edits.changeDocument(bundle, entry.id(), document -> document.withDate(read))));
                yield date.isPresent() ? Optional.empty() : Optional.of(Words.of("sheet.noDate"));
            }
            case DESCRIPTION -> {
                workspace.edit(bundle -> Edits.changeDocument(bundle, entry.id(), document -> document.withDescription(text)));
                yield Optional.empty();
            }
            case PAGES -> entry instanceof PlannedEntry.PlannedDocument planned ? commitPages(planned.document(), text)
                    : Optional.empty();
            case MARK -> {
                workspace.edit(bundle -> Entries.withFrontSheet(bundle, entry.id(), text));
                yield Optional.empty();
            }
            case SUPPLIED -> {
                workspace.edit(bundle -> Enclosing.supply(bundle, entry.id(), text));
                yield Optional.empty();
            }
        };
    }

    private Optional<String> commitPages(Document document, String text) {
        if (isFree(document)) {
            if (!text.matches("0*[1-9]\\d{0,3}")) return Optional.of(Words.of("sheet.noCount"));
            workspace.edit(bundle -> Placeholders.reserve(bundle, document.id(), Integer.parseInt(text)));
            return Optional.empty();
        }
        int all = PagePick.pagesToChooseFrom(document, workspace.folder()::source);
        PageRanges ranges = PageRanges.read(text, all);
        if (ranges.mistake().isPresent()) {
            String from = text.substring(Math.min(text.length(), ranges.mistake().get().at()));
            return Optional.of(
                    Words.of(from.isBlank() ? "sheet.noPagesAtEnd" : "sheet.noPages", ranges.mistake().get().expected(), from));
        }
        if (!text.equals(PagePick.typed(document)))
            workspace.edit(bundle -> PagePick.pick(bundle, document.id(), ranges.ranges()));
        return Optional.empty();
    }

    /** {@return what the row of a document says in small letters below its title; empty for nothing} */
    public String note(PlannedEntry.PlannedDocument planned) {
        Document document = planned.document();
        List<String> notes = new ArrayList<>();
        if (!document.description().isEmpty()) notes.add(document.description());
        int free = Placeholders.reserved(document);
        if (free > 0) notes.add(Words.of(isFree(document) ? "sheet.toFollow" : "sheet.restToFollow", free));
        int all = PagePick.pagesToChooseFrom(document, workspace.folder()::source);
        int own = document.pageCount() - (document.frontSheet().isPresent() ? 1 : 0);
        if (PagePick.onlySource(document).isPresent() && own != all) {
            int rest = PagePick.rest(workspace.bundle(), document).count();
            notes.add(Words.of(rest == 0 ? "sheet.somePages" : "sheet.somePagesRest", own, all, rest));
        }
        document.enclosed().ifPresent(file -> notes.add(file.supplied().isBlank()
                ? Words.of("sheet.asFile", fileName(file.source())) : file.supplied() + ": " + fileName(file.source())));
        if (!document.agreement().shown().isEmpty()) notes.add(document.agreement().shown());
        if (planned.tab() == 0) notes.add(Words.of("sheet.unlisted"));
        return String.join(" · ", notes);
    }

    private String fileName(SourceId id) {
        Source source = workspace.bundle().sourcesById().get(id);
        return source == null ? "" : source.fileName();
    }

    /** {@return whether a document goes with another that is in the index} */
    public boolean isTied(Document document) {
        return document.belongsTo().flatMap(workspace.plan()::entry).isPresent();
    }

    /** {@return whether the date of a document breaks the order of its section} */
    public boolean isOutOfOrder(Document document) {
        Contents now = workspace.bundle().contents();
        if (now != ordered) outOfOrder = DateOrder.outOfOrder(now);
        ordered = now;
        return outOfOrder.contains(document.id());
    }

    /** Moves, nests or un-nests what is chosen. */
    public void move(BiFunction<Bundle, Set<EntryId>, Bundle> step) {
        workspace.edit(bundle -> step.apply(bundle, selected.get()));
    }

    /** Moves entries below a row, or to the very beginning. */
    public void drop(Set<EntryId> ids, Optional<EntryId> below) {
        workspace.edit(bundle -> {
            Bundle moved = bundle;
            for (Section section : Edits.topmost(bundle.contents(), ids).reversed()) {
                int depth = Outline.chainOf(bundle, section.id()).size() - 1;
                moved = Edits.moveSections(moved, Set.of(section.id()), Outline.sectionPlaceBelow(moved, below, depth));
            }
            Set<EntryId> within = new HashSet<>();
            Edits.topmost(bundle.contents(), ids)
                    .forEach(section -> section.contents().allDocuments().forEach(document -> within.add(document.id())));
            Set<EntryId> documents = new HashSet<>(ids);
            documents.removeAll(within);
            boolean ontoItself = below.isPresent() && within.contains(below.get());
            return ontoItself ? moved : Edits.moveDocuments(moved, documents, Outline.documentPlaceBelow(moved, below));
        });
    }

    /** Takes what is chosen out of the index; it lies in the tray then, as it was. */
    public void takeOut() {
        workspace.edit(bundle -> Edits.takeOut(bundle, selected.get()));
    }

    public void toggleInIndex() {
        lastSelected().ifPresent(entry -> workspace
                .edit(bundle -> Edits.changeDocument(bundle, entry.id(), document -> document.withInIndex(!document.inIndex()))));
    }

    /** Adds a section behind the one that is chosen, or at the end, and begins to type its title. */
    public void addSection() {
        Section section = Section.titled(Words.of("sheet.newSection"));
        Optional<EntryId> below = lastSelected().map(PlannedEntry::id).or(this::lastRow);
        int depth = below.map(id -> Math.max(0, Outline.chainOf(workspace.bundle(), id).size() - 1)).orElse(0);
        workspace.edit(bundle -> Edits.insertSections(bundle, List.of(section), Outline.sectionPlaceBelow(bundle, below, depth)));
        select(Set.of(section.id()));
        editing.set(Optional.of(new Editing(section.id(), Field.TITLE)));
    }

    /** Puts what lies in the tray into the index below what is chosen, or at the end. */
    public void putInIndex(List<String> ids) {
        putBelow(ids, lastSelected().map(PlannedEntry::id).or(this::lastRow));
    }

    /** Puts what lies in the tray into the index below a row, or at the very beginning. */
    public void putBelow(List<String> ids, Optional<EntryId> below) {
        Set<EntryId> before = new HashSet<>(workspace.bundle().contents().allDocuments().stream().map(Document::id).toList());
        workspace.edit(bundle -> Edits.putInIndex(bundle, ids, Outline.documentPlaceBelow(bundle, below)));
        Set<EntryId> put = new HashSet<>(workspace.bundle().contents().allDocuments().stream().map(Document::id).toList());
        put.removeAll(before);
        if (!put.isEmpty()) select(put);
    }

    /** Takes away what lies in the tray. */
    public void dropFromTray(Set<String> ids) {
        workspace.edit(bundle -> Edits.dropFromTray(bundle, ids));
    }

    /** Brings files and folders into the tray, in the background. */
    public void bringIn(List<Path> paths) {
        intakes.bringIn(paths);
    }

    /** Brings files and folders straight into the index below a row; each folder becomes a section. */
    public void bringInBelow(List<Path> paths, Optional<EntryId> below) {
        intakes.bringIn(paths, taken -> bundle -> placed(Edits.addSources(bundle, taken.sources()), taken.contents(), below),
                taken -> {});
    }

    private static Bundle placed(Bundle bundle, Contents contents, Optional<EntryId> below) {
        Place sections = Outline.sectionPlaceBelow(bundle, below, 0);
        Bundle withDocuments = Edits.insertDocuments(bundle, contents.documents(), Outline.documentPlaceBelow(bundle, below));
        return Edits.insertSections(withDocuments, contents.sections(), sections);
    }

    /** Takes over what is chosen in the tray. */
    public void selectInTray(List<String> ids) {
        chosenInTray = List.copyOf(ids);
    }

    /** {@return the one thing that is chosen in the tray; empty where none is, or several are} */
    public Optional<InTray> onlyInTray() {
        return chosenInTray.size() != 1 ? Optional.empty()
                : workspace.placement().tray().stream().filter(item -> item.id().equals(chosenInTray.getFirst())).findFirst();
    }

    /** {@return the chosen entry that stands last} */
    public Optional<PlannedEntry> lastSelected() {
        return workspace.plan().entries().stream().filter(entry -> selected.get().contains(entry.id()))
                .reduce((first, second) -> second);
    }

    public Optional<EntryId> lastRow() {
        List<PlannedEntry> entries = workspace.plan().entries();
        return entries.isEmpty() ? Optional.empty() : Optional.of(entries.getLast().id());
    }

    /** {@return what lies in the tray in words, such as "PDF · 14 pages"} */
    public static String describe(InTray item) {
        return switch (item) {
            case InTray.File file -> describe(file.source());
            case InTray.SetAside aside -> Words.of("tray.setAside", aside.document().pageCount());
        };
    }

    /** {@return a source's kind and size in words, such as "PDF · 14 pages"} */
    public static String describe(Source source) {
        if (source.isWithoutPages()) return Words.of("tray.noPages");
        return source.isRead() ? Words.of("tray.facts", Words.of("kind.short." + source.kind().name()), source.pageCount())
                : Words.of("tray.unread");
    }
}
