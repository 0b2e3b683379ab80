package app.yellowtab.desktop.cut;

import app.yellowtab.cut.BatchPage;
import app.yellowtab.cut.Cutter;
import app.yellowtab.cut.Cutting;
import app.yellowtab.cut.PieceNames.Named;
import app.yellowtab.cut.Pieces;
import app.yellowtab.desktop.work.Jobs;
import app.yellowtab.desktop.work.Stage;
import app.yellowtab.desktop.work.Words;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.CutEdits;
import app.yellowtab.edit.Place;
import app.yellowtab.facts.PageText;
import app.yellowtab.inspect.WordsFile;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Document;
import app.yellowtab.model.cut.Batch;
import app.yellowtab.model.cut.CutRule;
import app.yellowtab.model.cut.CutRules;
import app.yellowtab.model.cut.NamePart;
import app.yellowtab.model.cut.ValuePlace;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.PageKey;
import app.yellowtab.model.page.SourcePages;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceBookmark;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.source.BatchPages;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.util.Subscription;

/** The batches, and one of them as it is cut. Knows no node. All pages are told by their place in the batch, counted from 1. */
final class CutDesk {
    /** The words of so many batches stay known. */
    private static final int MOST_READ = 4;

    /**
     * A batch in the list.
     *
     * @param made how many documents were made of it; 0 for none
     */
    record Row(Source source, int made) {}

    /**
     * A batch as it is cut.
     *
     * @param isRead  whether the words of its pages are known
     * @param trouble why it cannot be cut as the rules say; empty where it can
     */
    record Shown(Source source, Batch batch, List<BatchPage> pages, boolean isRead, Cutting cutting, List<Named> names, String trouble) {
        /** {@return the piece that a page is in, counted from 0; of several the first} */
        Optional<Integer> pieceOf(int page) {
            for (int i = 0; i < cutting.pieces().size(); i++) if (cutting.pieces().get(i).pages().contains(page)) return Optional.of(i);
            return Optional.empty();
        }

        /** {@return why a page is dropped; empty where it is not} */
        Optional<String> dropped(int page) {
            return cutting.dropped().stream().filter(drop -> drop.page() == page).map(drop -> drop.reason().words()).findFirst();
        }
    }

    private final Workspace workspace;
    private final ReadOnlyObjectWrapper<List<Row>> rows = new ReadOnlyObjectWrapper<>(this, "rows", List.of());
    private final ReadOnlyObjectWrapper<Optional<Shown>> shown = new ReadOnlyObjectWrapper<>(this, "shown", Optional.empty());
    /** By the file that the pages are of. */
    private final Map<String, WordsFile.Kept> read = new LinkedHashMap<>();
    /** Files whose words cannot be had, or are not wanted for now. */
    private final Set<String> unreadable = new HashSet<>();
    private final Subscription subscription;
    private Optional<SourceId> chosen = Optional.empty();
    /** What is being read, by the file. */
    private final Map<String, Jobs.Job> reading = new HashMap<>();
    private int asked;

    CutDesk(Workspace workspace) {
        this.workspace = workspace;
        // What nobody sees is worked out when it comes into view: a bundle of two thousand documents is edited elsewhere.
        subscription = Subscription.combine(workspace.onBundle(bundle -> show()), workspace.stageProperty().subscribe(stage -> show()));
    }

    void dispose() {
        subscription.unsubscribe();
        reading.values().forEach(Jobs.Job::stop);
    }

    /** {@return the sources that may be cut, those that look like batches and wait to be cut first} */
    ReadOnlyObjectProperty<List<Row>> rowsProperty() {
        return rows.getReadOnlyProperty();
    }

    /** {@return the batch on the table} */
    ReadOnlyObjectProperty<Optional<Shown>> shownProperty() {
        return shown.getReadOnlyProperty();
    }

    /** Puts a batch on the table. */
    void choose(SourceId source) {
        if (chosen.equals(Optional.of(source))) return;
        chosen = Optional.of(source);
        unreadable.clear();
        show();
    }

    /** {@return the source that is on the table, or that will be as soon as it is cut} */
    Optional<SourceId> chosen() {
        return chosen;
    }

    private void show() {
        if (workspace.stageProperty().get() != Stage.CUT) return;
        Bundle bundle = workspace.bundle();
        Set<SourceId> waiting = CutEdits.waiting(bundle).stream().map(Source::id).collect(Collectors.toSet());
        rows.set(bundle.sources().stream().filter(source -> source.isRead() && source.pageCount() > 1).sorted(Comparator.comparing((Source source) -> !waiting.contains(source.id())))
                .map(source -> new Row(source, made(bundle, source))).toList());
        Optional<Source> source = chosen.flatMap(id -> rows.get().stream().map(Row::source).filter(one -> one.id().equals(id)).findFirst());
        if (source.isEmpty()) {
            chosen = Optional.empty();
            asked++;
            shown.set(Optional.empty());
            return;
        }
        cut(source.get(), bundle);
    }

    private static int made(Bundle bundle, Source source) {
        Batch batch = CutEdits.batchOf(bundle, source);
        return batch.made().isEmpty() ? 0 : CutEdits.unchanged(bundle, batch).size();
    }

    /** Cuts in the background; of several that are under way only the last is shown. */
    private void cut(Source source, Bundle bundle) {
        Batch batch = CutEdits.batchOf(bundle, source);
        WordsFile.Kept kept = read.get(source.pagesKey());
        boolean codes = needsCodes(batch);
        boolean known = kept != null && (kept.hasCodes() || !codes);
        List<BatchPage> pages = kept == null ? unread(source) : kept.pages();
        boolean monthFirst = bundle.reading().monthFirst();
        boolean isShown = shown.get().filter(now -> now.source() == source && now.batch().equals(batch) && now.isRead() == known).isPresent();
        int mine = ++asked;
        if (isShown && (known || unreadable.contains(source.pagesKey()))) return;
        workspace.jobs().quietly(() -> cut(source, batch, pages, known, monthFirst), result -> {
            if (mine != asked) return;
            shown.set(Optional.of(result));
            if (!known) read(source, codes);
        });
    }

    private static Shown cut(Source source, Batch batch, List<BatchPage> pages, boolean isRead, boolean monthFirst) {
        Cutting cutting;
        String trouble = "";
        try {
            cutting = Cutter.cut(pages, batch.rules(), Pieces.byHand(batch));
        } catch (IllegalArgumentException wrong) {
            trouble = String.valueOf(wrong.getMessage());
            cutting = Cutter.cut(pages, CutRules.NONE, Pieces.byHand(batch));
        }
        return new Shown(source, batch, pages, isRead, cutting, Pieces.names(batch, pages, cutting, source.fileName(), monthFirst), trouble);
    }

    /** {@return the pages of a source as long as nobody has read them: their bookmarks are known} */
    private static List<BatchPage> unread(Source source) {
        Map<Integer, List<BatchPage.Bookmark>> marks = new LinkedHashMap<>();
        for (SourceBookmark own : source.bookmarks()) marks.computeIfAbsent(own.page(), page -> new ArrayList<>()).add(new BatchPage.Bookmark(own.level(), own.title()));
        List<BatchPage> pages = new ArrayList<>();
        for (int page = 1; page <= source.pageCount(); page++) pages.add(new BatchPage(PageText.NONE, false, 1, 1, marks.getOrDefault(page, List.of())));
        return pages;
    }

    private static boolean needsCodes(Batch batch) {
        return batch.rules().rules().stream().anyMatch(CutRule.SeparatorSheets.class::isInstance);
    }

    private void read(Source source, boolean codes) {
        String file = source.pagesKey();
        if (unreadable.contains(file) || reading.containsKey(file)) return;
        Jobs.Job job = workspace.jobs().start((progress, stop) -> BatchPages.read(workspace.folder(), source.id(), codes,
                (done, total) -> progress.accept(new Jobs.State(Words.of("cut.reading", source.fileName(), done, total), (double) done / total)), stop), pages -> {
                    Jobs.Job ended = reading.remove(file);
                    if (ended == null || !ended.isStopped()) keep(file, new WordsFile.Kept(pages, codes));
                    else unreadable.add(file);
                    show();
                }, failure -> {
                    reading.remove(file);
                    unreadable.add(file);
                    show();
                });
        if (!job.ended().isDone()) reading.put(file, job);
    }

    private void keep(String file, WordsFile.Kept kept) {
        read.put(file, kept);
        if (read.size() > MOST_READ) read.remove(read.keySet().iterator().next());
    }

    private void change(UnaryOperator<Batch> change) {
        shown.get().ifPresent(now -> workspace.edit(bundle -> CutEdits.change(bundle, now.source(), change)));
    }

    /** {@return a rule as it was filled in last, whether it is on or not} */
    CutRule rule(RuleKind kind) {
        return shown.get().flatMap(now -> Stream.concat(now.batch().rules().rules().stream(), now.batch().resting().stream()).filter(rule -> RuleKind.of(rule) == kind).findFirst())
                .orElse(kind.usual());
    }

    boolean isOn(RuleKind kind) {
        return shown.get().map(now -> now.batch().rules().rules().stream().anyMatch(rule -> RuleKind.of(rule) == kind)).orElse(false);
    }

    /** Fills a rule in, and switches it on or off; one that stands alone switches off the others, and is switched off by them. */
    void set(CutRule rule, boolean on) {
        change(batch -> {
            RuleKind kind = RuleKind.of(rule);
            List<CutRule> rules = new ArrayList<>();
            List<CutRule> resting = new ArrayList<>();
            batch.resting().stream().filter(other -> RuleKind.of(other) != kind).forEach(resting::add);
            for (CutRule other : batch.rules().rules()) {
                if (RuleKind.of(other) == kind) continue;
                (on && (rule.isAlone() || other.isAlone()) ? resting : rules).add(other);
            }
            (on ? rules : resting).add(rule);
            return batch.withRules(new CutRules(rules, batch.rules().leastPages(), batch.rules().name()), resting);
        });
    }

    /** {@return the areas that the rules and the names look at} */
    List<Area> areas() {
        List<Area> areas = new ArrayList<>();
        shown.get().ifPresent(now -> {
            for (CutRule rule : now.batch().rules().rules()) {
                if (rule instanceof CutRule.WordsFound words) words.area().ifPresent(areas::add);
                if (rule instanceof CutRule.ValueChanges value && value.place() instanceof ValuePlace.InArea in) areas.add(in.area());
            }
            for (NamePart part : now.batch().rules().name()) if (part instanceof NamePart.Value value && value.place() instanceof ValuePlace.InArea in) areas.add(in.area());
        });
        return areas.stream().distinct().toList();
    }

    /** Cuts where the words in an area change. */
    void cutByValueIn(Area area) {
        set(new CutRule.ValueChanges(new ValuePlace.InArea(area)), true);
    }

    /** Looks for the words of the rule of words in an area only; anywhere for none. */
    void lookForWordsIn(Optional<Area> area) {
        CutRule.WordsFound old = (CutRule.WordsFound) rule(RuleKind.WORDS);
        set(new CutRule.WordsFound(old.words(), old.isPattern(), old.caseMatters(), old.spacesMatter(), area, old.after()), true);
    }

    /** Names the pieces by the words in an area, behind the parts that there are. */
    void nameByWordsIn(Area area) {
        shown.get().ifPresent(now -> {
            List<NamePart> parts = new ArrayList<>(now.batch().rules().name());
            parts.add(new NamePart.Value(new ValuePlace.InArea(area)));
            setNameParts(parts);
        });
    }

    void setLeast(int pages) {
        change(batch -> batch.withRules(new CutRules(batch.rules().rules(), pages, batch.rules().name()), batch.resting()));
    }

    void setNameParts(List<NamePart> parts) {
        change(batch -> batch.withRules(new CutRules(batch.rules().rules(), batch.rules().leastPages(), parts), batch.resting()));
    }

    /** Sets a cut before a page, or takes it away; it stays as the hand left it. */
    void toggleCut(int page) {
        shown.get().ifPresent(now -> {
            if (page <= 1 || now.batch().rules().rules().stream().anyMatch(CutRule::isAlone)) return;
            boolean there = now.cutting().pieces().stream().anyMatch(piece -> piece.first() == page);
            change(batch -> batch.withCut(key(batch, page), !there));
        });
    }

    /** Drops a page, or takes it back. */
    void toggleDrop(int page) {
        shown.get().ifPresent(now -> change(batch -> batch.withDrop(key(batch, page), now.dropped(page).isEmpty())));
    }

    /** Names a piece, counted from 0; blank words let the rules name it. */
    void name(int piece, String words) {
        shown.get().ifPresent(now -> change(batch -> batch.withName(key(batch, now.cutting().pieces().get(piece).first()), words)));
    }

    private static PageKey key(Batch batch, int page) {
        return batch.keys().get(page - 1);
    }

    /** {@return which page of which source stands at a place} */
    static SourcePages page(Batch batch, int place) {
        int before = 0;
        for (SourcePages run : batch.runs()) {
            if (place - before <= run.pageCount()) return run.part(run.first() + place - before - 1, run.first() + place - before - 1);
            before += run.pageCount();
        }
        throw new IllegalArgumentException("no such page: " + place);
    }

    /** {@return the page of the next cut after a page, or before it; the page itself where there is none} */
    int cutFrom(int page, boolean forward) {
        List<Integer> firsts = shown.get().map(now -> now.cutting().pieces().stream().map(Cutting.Piece::first).sorted().toList()).orElse(List.of());
        if (forward) return firsts.stream().filter(first -> first > page).findFirst().orElse(page);
        return firsts.reversed().stream().filter(first -> first < page).findFirst().orElse(page);
    }

    /** Makes documents of the pieces; those that they became before and that nobody has changed go. */
    void makeDocuments(Optional<Place> place) {
        shown.get().filter(now -> now.trouble().isEmpty()).ifPresent(now -> {
            List<Document> documents = Pieces.documents(now.batch(), now.cutting(), now.names());
            workspace.edit(bundle -> CutEdits.make(bundle, now.source(), documents, place));
        });
    }
}
