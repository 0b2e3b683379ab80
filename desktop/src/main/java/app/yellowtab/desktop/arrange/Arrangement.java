package app.yellowtab.desktop.arrange;

import app.yellowtab.desktop.work.Intakes;
import app.yellowtab.desktop.work.Words;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.Edits;
import app.yellowtab.edit.Outline;
import app.yellowtab.edit.Place;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Contents;
import app.yellowtab.model.DateReader;
import app.yellowtab.model.Document;
import app.yellowtab.model.DocumentDate;
import app.yellowtab.model.EntryId;
import app.yellowtab.model.InTray;
import app.yellowtab.model.Section;
import app.yellowtab.model.source.Source;
import app.yellowtab.plan.PlannedEntry;
import java.nio.file.Path;
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
final class Arrangement {
    /** What of an entry is being typed. */
    enum Field { TITLE, DATE, DESCRIPTION }

    /** An entry of which something is being typed. */
    record Editing(EntryId id, Field field) {}

    private final Workspace workspace;
    private final Intakes intakes;
    private final ReadOnlyObjectWrapper<Set<EntryId>> selected = new ReadOnlyObjectWrapper<>(this, "selected", Set.of());
    private final ObjectProperty<Optional<Editing>> editing = new SimpleObjectProperty<>(this, "editing", Optional.empty());

    Arrangement(Workspace workspace, Intakes intakes) {
        this.workspace = workspace;
        this.intakes = intakes;
    }

    ReadOnlyObjectProperty<Set<EntryId>> selectedProperty() {
        return selected.getReadOnlyProperty();
    }

    void select(Set<EntryId> ids) {
        selected.set(Set.copyOf(ids));
    }

    /** {@return what is being typed; set to begin, emptied to end} */
    ObjectProperty<Optional<Editing>> editingProperty() {
        return editing;
    }

    void beginEditing(Field field) {
        lastSelected().filter(entry -> field == Field.TITLE || entry instanceof PlannedEntry.PlannedDocument)
                .ifPresent(entry -> editing.set(Optional.of(new Editing(entry.id(), field))));
    }

    void endEditing() {
        editing.set(Optional.empty());
    }

    /** {@return the text that typing begins with} */
    static String typedText(PlannedEntry entry, Field field) {
        return switch (entry) {
            case PlannedEntry.PlannedSection section -> section.title();
            case PlannedEntry.PlannedDocument planned -> switch (field) {
                case TITLE -> planned.title();
                case DATE -> planned.document().date().shown();
                case DESCRIPTION -> planned.document().description();
            };
        };
    }

    /** Takes typed text over; {@return false, changing nothing, if it is no date where one is wanted} */
    boolean commit(PlannedEntry entry, Field field, String typed) {
        String text = typed.strip();
        Optional<DocumentDate> date = field == Field.DATE ? DateReader.read(text, workspace.bundle().reading().monthFirst()) : Optional.empty();
        if (field == Field.DATE && date.isEmpty()) return false;
        if (field == Field.TITLE && text.isEmpty()) return true;
        workspace.edit(bundle -> switch (field) {
            case TITLE -> entry instanceof PlannedEntry.PlannedSection
                    ? Edits.renameSection(bundle, entry.id(), text)
                    : Edits.changeDocument(bundle, entry.id(), document -> document.withTitle(text));
            case DATE -> Edits.changeDocument(bundle, entry.id(), document -> document.withDate(date.orElseThrow()));
            case DESCRIPTION -> Edits.changeDocument(bundle, entry.id(), document -> document.withDescription(text));
        });
        return true;
    }

    /** Moves, nests or un-nests what is chosen. */
    void move(BiFunction<Bundle, Set<EntryId>, Bundle> step) {
        workspace.edit(bundle -> step.apply(bundle, selected.get()));
    }

    /** Moves entries below a row, or to the very beginning. */
    void drop(Set<EntryId> ids, Optional<EntryId> below) {
        workspace.edit(bundle -> {
            Bundle moved = bundle;
            for (Section section : Edits.topmost(bundle.contents(), ids).reversed()) {
                int depth = Outline.chainOf(bundle, section.id()).size() - 1;
                moved = Edits.moveSections(moved, Set.of(section.id()), Outline.sectionPlaceBelow(moved, below, depth));
            }
            Set<EntryId> within = new HashSet<>();
            Edits.topmost(bundle.contents(), ids).forEach(section ->
                    section.contents().allDocuments().forEach(document -> within.add(document.id())));
            Set<EntryId> documents = new HashSet<>(ids);
            documents.removeAll(within);
            boolean ontoItself = below.isPresent() && within.contains(below.get());
            return ontoItself ? moved : Edits.moveDocuments(moved, documents, Outline.documentPlaceBelow(moved, below));
        });
    }

    /** Takes what is chosen out of the index; it lies in the tray then, as it was. */
    void takeOut() {
        workspace.edit(bundle -> Edits.takeOut(bundle, selected.get()));
    }

    void toggleInIndex() {
        lastSelected().ifPresent(entry -> workspace.edit(bundle ->
                Edits.changeDocument(bundle, entry.id(), document -> document.withInIndex(!document.inIndex()))));
    }

    /** Adds a section behind the one that is chosen, or at the end, and begins to type its title. */
    void addSection() {
        Section section = Section.titled(Words.of("sheet.newSection"));
        Optional<EntryId> below = lastSelected().map(PlannedEntry::id).or(this::lastRow);
        int depth = below.map(id -> Math.max(0, Outline.chainOf(workspace.bundle(), id).size() - 1)).orElse(0);
        workspace.edit(bundle -> Edits.insertSections(bundle, List.of(section), Outline.sectionPlaceBelow(bundle, below, depth)));
        select(Set.of(section.id()));
        editing.set(Optional.of(new Editing(section.id(), Field.TITLE)));
    }

    /** Puts what lies in the tray into the index below what is chosen, or at the end. */
    void putInIndex(List<String> ids) {
        putBelow(ids, lastSelected().map(PlannedEntry::id).or(this::lastRow));
    }

    /** Puts what lies in the tray into the index below a row, or at the very beginning. */
    void putBelow(List<String> ids, Optional<EntryId> below) {
        Set<EntryId> before = new HashSet<>(workspace.bundle().contents().allDocuments().stream().map(Document::id).toList());
        workspace.edit(bundle -> Edits.putInIndex(bundle, ids, Outline.documentPlaceBelow(bundle, below)));
        Set<EntryId> put = new HashSet<>(workspace.bundle().contents().allDocuments().stream().map(Document::id).toList());
        put.removeAll(before);
        if (!put.isEmpty()) select(put);
    }

    /** Takes away what lies in the tray. */
    void dropFromTray(Set<String> ids) {
        workspace.edit(bundle -> Edits.dropFromTray(bundle, ids));
    }

    /** Brings files and folders into the tray, in the background. */
    void bringIn(List<Path> paths) {
        intakes.bringIn(paths);
    }

    /** Brings files and folders straight into the index below a row; each folder becomes a section. */
    void bringInBelow(List<Path> paths, Optional<EntryId> below) {
        intakes.bringIn(paths, taken -> bundle -> placed(Edits.addSources(bundle, taken.sources()), taken.contents(), below), taken -> { });
    }

    private static Bundle placed(Bundle bundle, Contents contents, Optional<EntryId> below) {
        Place sections = Outline.sectionPlaceBelow(bundle, below, 0);
        Bundle withDocuments = Edits.insertDocuments(bundle, contents.documents(), Outline.documentPlaceBelow(bundle, below));
        return Edits.insertSections(withDocuments, contents.sections(), sections);
    }

    /** {@return the chosen entry that stands last} */
    Optional<PlannedEntry> lastSelected() {
        return workspace.plan().entries().stream().filter(entry -> selected.get().contains(entry.id()))
                .reduce((first, second) -> second);
    }

    private Optional<EntryId> lastRow() {
        List<PlannedEntry> entries = workspace.plan().entries();
        return entries.isEmpty() ? Optional.empty() : Optional.of(entries.getLast().id());
    }

    /** {@return what lies in the tray in words, such as "PDF · 14 pages"} */
    static String describe(InTray item) {
        return switch (item) {
            case InTray.File file -> describe(file.source());
            case InTray.SetAside aside -> Words.of("tray.setAside", aside.document().pageCount());
        };
    }

    /** {@return a source's kind and size in words, such as "PDF · 14 pages"} */
    static String describe(Source source) {
        return source.isRead() ? Words.of("tray.facts", Words.of("kind.short." + source.kind().name()), source.pageCount()) : Words.of("tray.unread");
    }
}
