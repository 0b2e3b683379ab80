package app.yellowtab.desktop.gather;

import app.yellowtab.desktop.work.Intakes;
import app.yellowtab.desktop.work.Intakes.Coming;
import app.yellowtab.desktop.work.Recognising;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.Edits;
import app.yellowtab.edit.Place;
import app.yellowtab.facts.Note;
import app.yellowtab.facts.Origin;
import app.yellowtab.files.Folders;
import app.yellowtab.files.NaturalOrder;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.Severity;
import app.yellowtab.intake.Likeness;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Reading;
import app.yellowtab.model.contents.Contents;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.InTray;
import app.yellowtab.model.contents.Section;
import app.yellowtab.model.entry.DateReader;
import app.yellowtab.model.entry.DocumentDate;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.model.source.SourceKind;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import javafx.util.Subscription;
import org.jspecify.annotations.Nullable;
import org.slf4j.LoggerFactory;

/** What has been gathered, in the order and choice that the user looks at it. Knows no node. */
public final class Gathering {
    /** Which of the sources are shown. */
    enum Filter { ALL, LOOK, UNPLACED, SCANNED, ALIKE, UNREAD }

    /** In which order. */
    enum Order { CAME, NAME, FILE_DATE, DOCUMENT_DATE, PAGES }

    /** A line of the list. */
    sealed interface Row {
        /** A source of the bundle; {@code attached} to the row above it or one before. */
        record Known(Source source, boolean attached, boolean placed, boolean look, boolean locked, List<Likeness.Like> alike,
                int left) implements Row {
            /** {@return whether its pages are missed: those of a recording are not, once it goes along as it is} */
            boolean isUnread() {
                return isMissed(source, placed);
            }

            private static boolean isMissed(Source source, boolean placed) {
                return !source.isRead() && !(placed && source.isWithoutPages());
            }
        }

        /** A file on its way in. */
        record Arriving(Coming coming) implements Row {}
    }

    private final Workspace workspace;
    private final Intakes intakes;
    private final Recognising recognising;
    private final ReadOnlyObjectWrapper<List<Row>> rows = new ReadOnlyObjectWrapper<>(this, "rows", List.of());
    private final ReadOnlyObjectWrapper<Map<Filter, Integer>> counts = new ReadOnlyObjectWrapper<>(this, "counts", Map.of());
    private final ReadOnlyObjectWrapper<Optional<Contents>> folders =
            new ReadOnlyObjectWrapper<>(this, "folders", Optional.empty());
    private final ObjectProperty<Filter> filter = new SimpleObjectProperty<>(this, "filter", Filter.ALL);
    private final ObjectProperty<Order> order = new SimpleObjectProperty<>(this, "order", Order.CAME);
    private final StringProperty search = new SimpleStringProperty(this, "search", "");
    private final Subscription subscription;
    private Set<SourceId> closed = Set.of();
    private boolean refreshing;
    private List<Source> compared = List.of();
    private Map<SourceId, List<Likeness.Like>> alike = Map.of();

    public Gathering(Workspace workspace, Intakes intakes, Recognising recognising) {
        this.workspace = workspace;
        this.intakes = intakes;
        this.recognising = recognising;
        subscription = Subscription.combine(workspace.onBundle(bundle -> refreshSoon()),
                recognising.stateProperty().subscribe((before, now) -> refreshSoon()), filter.subscribe(now -> refreshSoon()),
                order.subscribe(now -> refreshSoon()), search.subscribe(now -> refreshSoon()),
                intakes.comingProperty().subscribe(now -> refreshSoon()),
                workspace.unlockingsProperty().subscribe(count -> lookForClosed()));
    }

    public void dispose() {
        subscription.unsubscribe();
    }

    ReadOnlyObjectProperty<List<Row>> rowsProperty() {
        return rows.getReadOnlyProperty();
    }

    ReadOnlyObjectProperty<Map<Filter, Integer>> countsProperty() {
        return counts.getReadOnlyProperty();
    }

    /** {@return the folders of the last intake, as sections that may be made of them} */
    ReadOnlyObjectProperty<Optional<Contents>> foldersProperty() {
        return folders.getReadOnlyProperty();
    }

    ObjectProperty<Filter> filterProperty() {
        return filter;
    }

    ObjectProperty<Order> orderProperty() {
        return order;
    }

    StringProperty searchProperty() {
        return search;
    }

    /** Several changes, such as the end of an intake and its edit, are shown at once. */
    private void refreshSoon() {
        if (refreshing) return;
        refreshing = true;
        workspace.jobs().later(this::refresh);
    }

    /**
     * Files that a password opened before are locked again when their bundle was closed meanwhile, unless the password is
     * remembered.
     */
    private void lookForClosed() {
        List<Source> locked = workspace.bundle().sources().stream().filter(source -> source.about().pages().locked()).toList();
        if (locked.isEmpty()) return;
        workspace.jobs().quietly(
                () -> locked.stream().map(Source::id).filter(workspace.folder()::isShut).collect(Collectors.toSet()), found -> {
                    if (found.equals(closed)) return;
                    closed = found;
                    refreshSoon();
                });
    }

    /** Tries a password on sources that wait for one; {@code wrong} is run if it opens none of them. */
    void unlock(List<Source> locked, String password, boolean keep, Runnable wrong) {
        intakes.unlock(locked, password, keep, opened -> {
            if (opened == 0) wrong.run();
        });
    }

    private void refresh() {
        refreshing = false;
        Bundle bundle = workspace.bundle();
        compare(bundle.sources());
        Set<SourceId> unplaced = new HashSet<>();
        workspace.placement().unplaced().forEach(source -> unplaced.add(source.id()));
        // What has all been placed otherwise is no longer offered.
        if (folders.get().filter(offered -> kept(offered, unplaced, bundle).isEmpty()).isPresent()) folders.set(Optional.empty());
        List<Row.Known> all = bundle.sources().stream().map(source -> known(source, !unplaced.contains(source.id()))).toList();
        Map<Filter, Integer> counted = new EnumMap<>(Filter.class);
        for (Filter one : Filter.values()) counted.put(one, (int) all.stream().filter(test(one)).count());
        if (!counted.equals(counts.get())) counts.set(counted);
        List<Row> shown = new ArrayList<>(intakes.comingProperty().get().stream().map(Row.Arriving::new).toList());
        shown.addAll(ordered(all.stream().filter(test(filter.get())).filter(this::isFound).toList()));
        rows.set(List.copyOf(shown));
    }

    /** What is alike depends on the sources alone, and is worked out again, in the background, only when these change. */
    private void compare(List<Source> sources) {
        if (sources.equals(compared)) return;
        compared = sources;
        workspace.jobs().quietly(() -> Likeness.of(sources), found -> {
            if (compared != sources || found.equals(alike)) return;
            alike = found;
            refresh();
        });
    }

    private Row.Known known(Source source, boolean placed) {
        List<Likeness.Like> likes = source.about().alikeAccepted() ? List.of() : alike.getOrDefault(source.id(), List.of());
        boolean look = Row.Known.isMissed(source, placed) || !likes.isEmpty() || source.about().pages().repaired()
                || source.about().pages().hiddenLayers() > 0
                || source.about().notes().stream().anyMatch(note -> note.code().severity() != Severity.REMARK);
        return new Row.Known(source, false, placed, look || isLocked(source), isLocked(source), likes, recognising.left(source));
    }

    private static Predicate<Row.Known> test(Filter filter) {
        return switch (filter) {
            case ALL -> row -> true;
            case LOOK -> Row.Known::look;
            case UNPLACED -> row -> !row.placed();
            case SCANNED -> row -> FactWords.isScan(row.source());
            case ALIKE -> row -> !row.alike().isEmpty();
            case UNREAD -> Row.Known::isUnread;
        };
    }

    private boolean isFound(Row.Known row) {
        String wanted = search.get().strip().toLowerCase(Locale.ROOT);
        return wanted.isEmpty() || row.source().fileName().toLowerCase(Locale.ROOT).contains(wanted)
                || row.source().proposedTitle().toLowerCase(Locale.ROOT).contains(wanted);
    }

    /** What came with a mail stands below it, whatever the order. */
    private List<Row> ordered(List<Row.Known> found) {
        List<Row.Known> sorted = new ArrayList<>(found);
        Comparator<Row.Known> by = comparator();
        if (by != null) sorted.sort(by);
        Set<SourceId> present = new HashSet<>();
        sorted.forEach(row -> present.add(row.source().id()));
        List<Row> result = new ArrayList<>();
        Set<SourceId> added = new HashSet<>();
        for (Row.Known row : sorted) {
            if (!isAttached(row, present)) addWithAttachments(row, sorted, result, added, false);
        }
        return result;
    }

    private static boolean isAttached(Row.Known row, Set<SourceId> present) {
        String parent = row.source().about().attachedTo();
        return !parent.isEmpty() && present.contains(new SourceId(parent));
    }

    private static void addWithAttachments(Row.Known row, List<Row.Known> all, List<Row> result, Set<SourceId> added,
            boolean attached) {
        if (!added.add(row.source().id())) return;
        result.add(new Row.Known(row.source(), attached, row.placed(), row.look(), row.locked(), row.alike(), row.left()));
        if (!row.source().kind().isMail() && row.source().about().pages().attachments().isEmpty()) return;
        for (Row.Known child : all) {
            if (child.source().about().attachedTo().equals(row.source().id().value()))
                addWithAttachments(child, all, result, added, true);
        }
    }

    private @Nullable Comparator<Row.Known> comparator() {
        return switch (order.get()) {
            case CAME -> null;
            case NAME -> Comparator.comparing(row -> row.source().fileName(), new NaturalOrder());
            case FILE_DATE -> Comparator.comparing(row -> row.source().about().modified().orElse(Instant.MAX));
            case DOCUMENT_DATE -> Comparator.comparing(row -> day(row.source().proposedDate()));
            case PAGES -> Comparator.comparing(row -> -row.source().pageCount());
        };
    }

    private static LocalDate day(DocumentDate date) {
        return switch (date) {
            case DocumentDate.Day day -> day.day();
            case DocumentDate.Month month -> month.month().atDay(1);
            case DocumentDate.Range range -> range.from();
            case DocumentDate.NotGiven n -> LocalDate.MAX;
            case DocumentDate.Undated u -> LocalDate.MAX;
        };
    }

    /** Brings files and folders in; folders are offered as sections afterwards. */
    void bringIn(List<Path> paths) {
        intakes.bringIn(paths, taken -> bundle -> Edits.addSources(bundle, taken.sources()),
                taken -> folders.set(taken.contents().sections().isEmpty() ? Optional.empty() : Optional.of(taken.contents())));
    }

    /** Brings in a file that we have made ourselves in a folder of its own; afterwards this is deleted. */
    void bringInAndDelete(Path made) {
        intakes.bringIn(List.of(made), taken -> bundle -> Edits.addSources(bundle, taken.sources()), taken -> {
            try {
                Folders.delete(made.toAbsolutePath().getParent());
            } catch (IOException inUse) {
                LoggerFactory.getLogger(Gathering.class).warn("cannot delete {}", made, inUse);
            }
        });
    }

    /** Makes the sections that were offered, or leaves it. */
    void answerFolders(boolean make) {
        Optional<Contents> offered = folders.get();
        folders.set(Optional.empty());
        if (!make || offered.isEmpty()) return;
        Set<SourceId> tray = new HashSet<>();
        workspace.bundle().unplaced().forEach(source -> tray.add(source.id()));
        workspace.edit(bundle -> Edits.append(bundle, kept(offered.get(), tray, bundle)));
    }

    /** What has been placed or taken away meanwhile is not placed again, and titles are those of now. */
    private static Contents kept(Contents contents, Set<SourceId> tray, Bundle bundle) {
        Map<SourceId, Source> sources = bundle.sourcesById();
        List<Document> documents =
                contents.documents().stream().map(document -> document.sources().getFirst()).filter(tray::contains)
                        .map(id -> Document.of(sources.get(id))).toList();
        List<Section> sections =
                contents.sections().stream().map(section -> section.withContents(kept(section.contents(), tray, bundle)))
                        .filter(section -> !section.contents().isEmpty()).toList();
        return new Contents(documents, sections);
    }

    /** Takes typed words over as a source's title. */
    void type(SourceId id, String title) {
        String typed = title.strip();
        Source source = workspace.bundle().sourcesById().get(id);
        if (source != null && !typed.isEmpty() && !typed.equals(source.proposedTitle()))
            workspace.edit(bundle -> Edits.propose(bundle, id, now -> now.withTitle(typed, Origin.USER)));
    }

    /** Takes typed words over as a source's date; {@return false, changing nothing, if they are none} */
    boolean typeDate(SourceId id, String typed) {
        Optional<DocumentDate> date = DateReader.read(typed, workspace.bundle().reading().monthFirst());
        if (date.isEmpty()) return false;
        Source source = workspace.bundle().sourcesById().get(id);
        if (source != null && !date.get().equals(source.proposedDate()))
            workspace.edit(bundle -> Edits.propose(bundle, id, now -> now.withDate(date.get(), Origin.USER)));
        return true;
    }

    /** Takes the day on which a file says it was made as its date. */
    void useMade(Source source) {
        source.about().made().ifPresent(day -> workspace.edit(
                bundle -> Edits.propose(bundle, source.id(), now -> now.withDate(new DocumentDate.Day(day), Origin.PROPERTIES))));
    }

    /** {@return whether a source's title or date is only proposed, and nobody has looked at it yet} */
    static boolean isProposed(Source source) {
        return source.about().titleFrom() != Origin.USER || source.about().dateFrom() != Origin.USER;
    }

    /** Takes what is proposed for these sources as it is. */
    void confirm(Collection<Source> sources) {
        workspace.edit(bundle -> Edits.changeSources(bundle, sources.stream().collect(Collectors.toMap(Source::id,
                source -> now -> now.withTitle(now.proposedTitle(), Origin.USER).withDate(now.proposedDate(), Origin.USER)))));
    }

    /** {@return how many pages of a source are still to be recognised} */
    int left(Source source) {
        return recognising.left(source);
    }

    /** {@return the number of the next batch of the rehearsal scanner, counted from 1} */
    int nextBatch() {
        return 1 + (int) workspace.bundle().sources().stream()
                .filter(source -> source.fileName().matches("scan-\\d{4}\\.(tif|pdf)")).count();
    }

    /**
     * Puts sources that lie in the tray at the end of the index; a file whose pages cannot be had goes there as the page that
     * names it.
     */
    void putInIndex(Collection<Source> sources) {
        Set<SourceId> ids = new HashSet<>(sources.stream().map(Source::id).toList());
        workspace.edit(bundle -> Edits.putInIndex(bundle,
                bundle.tray().stream().filter(item -> isOf(item, ids)).map(InTray::id).toList(),
                new Place(Optional.empty(), Integer.MAX_VALUE)));
    }

    private static boolean isOf(InTray item, Set<SourceId> sources) {
        return switch (item) {
            case InTray.File file -> sources.contains(file.source().id());
            case InTray.SetAside aside -> aside.document().sources().stream().anyMatch(sources::contains);
        };
    }

    /** Takes sources away, and the documents made of them. */
    void takeAway(Collection<Source> sources) {
        workspace.edit(bundle -> Edits.removeSources(bundle, new HashSet<>(sources.stream().map(Source::id).toList())));
    }

    /** Keeps a source although others have the same pages; they are kept with it. */
    void keepAlike(Row.Known row) {
        Set<SourceId> kept = new HashSet<>(row.alike().stream().map(Likeness.Like::other).toList());
        kept.add(row.source().id());
        workspace.edit(bundle -> Edits.changeSources(bundle,
                kept.stream().collect(Collectors.toMap(id -> id, id -> now -> now.withAbout(now.about().withAlikeAccepted())))));
    }

    /** Changes how files are read; those for which it makes a difference are read anew. */
    void read(Reading reading) {
        Reading before = workspace.bundle().reading();
        if (reading.equals(before)) return;
        workspace.edit(bundle -> bundle.withReading(reading));
        boolean wordsChange = reading.showChanges() != before.showChanges() || reading.showComments() != before.showComments();
        intakes.readAgain(workspace.bundle().sources().stream().filter(
                source -> source.isRead() && (wordsChange && differs(source) || reading.monthFirst() != before.monthFirst()
                        || !reading.zone().equals(before.zone()) && tellsOnlyTheMoment(source)))
                .toList());
    }

    /** {@return whether the day of a file depends on where days begin} */
    private static boolean tellsOnlyTheMoment(Source source) {
        return source.kind() == SourceKind.MSG || source.kind().isOffice();
    }

    private static boolean differs(Source source) {
        Set<Code> codes = Set.of(Code.CHANGES_ACCEPTED, Code.CHANGES_SHOWN, Code.COMMENTS_DROPPED, Code.COMMENTS_KEPT);
        return source.kind().isOffice() && source.about().notes().stream().map(Note::code).anyMatch(codes::contains);
    }

    /** {@return whether a source waits for a password: for the first time, or again since the bundle was closed} */
    boolean isLocked(Source source) {
        return closed.contains(source.id())
                || source.about().trouble().filter(note -> note.code() == Code.PASSWORD_NEEDED).isPresent();
    }

    /** {@return the other sources that wait for a password} */
    List<Source> lockedBeside(Source source) {
        return workspace.bundle().sources().stream().filter(other -> isLocked(other) && !other.id().equals(source.id())).toList();
    }

    Workspace workspace() {
        return workspace;
    }
}
