package app.yellowtab.desktop.batch;

import app.yellowtab.cut.Cutter;
import app.yellowtab.cut.Cutting;
import app.yellowtab.cut.PieceNames.Named;
import app.yellowtab.cut.Pieces;
import app.yellowtab.cut.SheetsToMend;
import app.yellowtab.desktop.batch.BatchReading.Needs;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.work.Stage;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.cut.CutEdits;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.cut.Batch;
import app.yellowtab.model.cut.BatchOrder;
import app.yellowtab.model.cut.CutRule;
import app.yellowtab.model.cut.CutRules;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.words.BatchPage;
import app.yellowtab.words.SeenPages;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.util.Subscription;

/** The batches, and one of them as it is cut. Knows no node. All pages are told by their place in the batch, counted from 1. */
public final class CutDesk {
    /**
     * A batch in the list.
     *
     * @param source that it is called after
     * @param others files whose pages were set between its own
     * @param pages  how many it has
     * @param made   how many documents were made of it; 0 for none
     * @param pieces how many pieces it has, as it was cut when it was last seen; 0 where nobody has seen it yet
     */
    public record Row(Source source, List<Source> others, int pages, int made, int pieces) {
        /** {@return the names of its files} */
        public String name() {
            return Stream.concat(Stream.of(source), others.stream()).map(Source::fileName).collect(Collectors.joining(" + "));
        }
    }

    /**
     * A batch as it is cut.
     *
     * @param sources of its pages, that which it is called after first
     * @param known   all pages of each source, as they were read
     * @param read    its pages in its order, as they were read
     * @param pages   its pages in its order, as they are seen
     * @param isRead  whether all is known of its pages that the rules go by
     * @param waits   whether that is being read
     * @param trouble why it cannot be cut as the rules say; empty where it can
     * @param sheets  what is proposed for its sheets
     */
    public record Shown(List<Source> sources, Batch batch, Map<SourceId, List<BatchPage>> known, List<BatchPage> read,
            List<BatchPage> pages, boolean isRead, boolean waits, Cutting cutting, List<Named> names, String trouble,
            SheetsToMend sheets) {
        public Source source() {
            return sources.getFirst();
        }

        /** {@return whether all pages of all files are the very same} */
        private boolean hasSame(Map<SourceId, List<BatchPage>> other) {
            return known.keySet().equals(other.keySet())
                    && known.entrySet().stream().allMatch(its -> its.getValue() == other.get(its.getKey()));
        }

        /** {@return the piece that a page is in, counted from 0; of several the first} */
        public Optional<Integer> pieceOf(int page) {
            for (int i = 0; i < cutting.pieces().size(); i++)
                if (cutting.pieces().get(i).pages().contains(page)) return Optional.of(i);
            return Optional.empty();
        }

        /** {@return why a page is dropped; empty where it is not} */
        public Optional<String> dropped(int page) {
            return cutting.dropped().stream().filter(drop -> drop.page() == page).map(drop -> drop.reason().words()).findFirst();
        }
    }

    private final Workspace workspace;
    private final BatchReading reading;
    private final RuleDesk rules;
    private final PieceDesk hand;
    private final ReadOnlyObjectWrapper<List<Row>> rows = new ReadOnlyObjectWrapper<>(this, "rows", List.of());
    private final ReadOnlyObjectWrapper<List<Shown>> open = new ReadOnlyObjectWrapper<>(this, "open", List.of());
    private final ReadOnlyObjectWrapper<Optional<Shown>> shown = new ReadOnlyObjectWrapper<>(this, "shown", Optional.empty());
    private final Subscription subscription;
    private List<SourceId> chosen = List.of();
    private final Map<SourceId, Integer> pieces = new HashMap<>();
    private boolean sizesWanted;
    private int asked;

    public CutDesk(Workspace workspace) {
        this.workspace = workspace;
        this.reading = new BatchReading(workspace);
        this.rules = new RuleDesk(workspace, this);
        this.hand = new PieceDesk(workspace, this);
        // What nobody sees is worked out when it comes into view: a bundle of two thousand documents is edited elsewhere.
        subscription =
                Subscription.combine(workspace.onBundle(bundle -> show()), workspace.stageProperty().subscribe(stage -> show()));
    }

    public void dispose() {
        subscription.unsubscribe();
        reading.stop();
    }

    /** {@return the rules by which is cut and named} */
    public RuleDesk rules() {
        return rules;
    }

    /** {@return what the hand does} */
    public PieceDesk hand() {
        return hand;
    }

    /** {@return the sources that may be cut, those that look like batches and wait to be cut first} */
    public ReadOnlyObjectProperty<List<Row>> rowsProperty() {
        return rows.getReadOnlyProperty();
    }

    /** {@return the batch on the table} */
    public ReadOnlyObjectProperty<Optional<Shown>> shownProperty() {
        return shown.getReadOnlyProperty();
    }

    /** {@return all batches that are chosen, that on the table first} */
    public ReadOnlyObjectProperty<List<Shown>> openProperty() {
        return open.getReadOnlyProperty();
    }

    /** Puts a batch on the table, alone. */
    public void choose(SourceId source) {
        choose(List.of(source));
    }

    /** Chooses batches, which rules then cut all at once; the first is put on the table. */
    public void choose(List<SourceId> sources) {
        if (chosen.equals(sources)) return;
        chosen = List.copyOf(sources);
        reading.forgetFailures();
        show();
    }

    /** {@return the sources that are chosen, that on the table first} */
    public List<SourceId> chosen() {
        return chosen;
    }

    /** Has pages measured, so that it is known how much pieces take. */
    public void wantSizes(boolean wanted) {
        if (sizesWanted == wanted) return;
        sizesWanted = wanted;
        if (wanted) show();
    }

    private void show() {
        if (workspace.stageProperty().get() != Stage.CUT) return;
        Bundle bundle = workspace.bundle();
        Set<SourceId> waiting = CutEdits.waiting(bundle).stream().map(Source::id).collect(Collectors.toSet());
        rows.set(bundle.sources().stream()
                .filter(source -> source.isRead() && source.pageCount() > 1 && !CutEdits.isInOther(bundle, source))
                .sorted(Comparator.comparing((Source source) -> !waiting.contains(source.id())))
                .map(source -> row(bundle, source)).toList());
        List<Source> sources =
                chosen.stream().flatMap(id -> rows.get().stream().map(Row::source).filter(one -> one.id().equals(id))).toList();
        chosen = sources.stream().map(Source::id).toList();
        if (sources.isEmpty()) {
            asked++;
            open.set(List.of());
            shown.set(Optional.empty());
            return;
        }
        cut(sources, bundle);
    }

    private Row row(Bundle bundle, Source source) {
        Batch batch = CutEdits.batchOf(bundle, source);
        // Nearly all are of one file, and there may be thousands.
        List<Source> all = BatchOrder.sources(batch).size() == 1 ? List.of(source) : CutEdits.sources(bundle, batch);
        return new Row(source, all.subList(1, all.size()), batch.runs().stream().mapToInt(SourcePages::pageCount).sum(),
                batch.made().isEmpty() ? 0 : CutEdits.unchanged(bundle, batch).size(), pieces.getOrDefault(source.id(), 0));
    }

    /** A batch that is to be cut. */
    private record Order(List<Source> sources, Batch batch, Map<SourceId, List<BatchPage>> known, Optional<Shown> before,
            boolean isKnown, boolean waits, boolean monthFirst) {
        public Source source() {
            return sources.getFirst();
        }
    }

    /** Cuts in the background; of several that are under way only the last is shown. */
    private void cut(List<Source> sources, Bundle bundle) {
        List<Order> orders = new ArrayList<>();
        for (Source source : sources) {
            Batch batch = CutEdits.batchOf(bundle, source);
            List<Source> its = CutEdits.sources(bundle, batch);
            boolean known = its.stream().allMatch(one -> reading.isKnown(one, needs(batch)));
            boolean lost = its.stream().anyMatch(reading::isUnreadable);
            Optional<Shown> before = open.get().stream().filter(one -> one.source().id().equals(source.id())).findFirst();
            orders.add(new Order(its, batch, its.stream().collect(Collectors.toMap(Source::id, reading::pages)), before, known,
                    !known && !lost, bundle.reading().monthFirst()));
        }
        int mine = ++asked;
        if (isShown(orders)) return;
        workspace.jobs().quietly(() -> orders.stream().map(CutDesk::cut).toList(), results -> {
            if (mine != asked) return;
            open.set(results);
            for (Shown one : results) pieces.put(one.source().id(), one.cutting().pieces().size());
            rows.set(rows.get().stream().map(row -> new Row(row.source(), row.others(), row.pages(), row.made(),
                    pieces.getOrDefault(row.source().id(), 0))).toList());
            shown.set(Optional.of(results.getFirst()));
            Set<String> laidOpen =
                    results.stream().flatMap(one -> one.sources().stream()).map(BatchReading::key).collect(Collectors.toSet());
            for (Order order : orders) {
                Needs needs = needs(order.batch());
                order.sources().stream().filter(source -> !reading.isKnown(source, needs))
                        .forEach(source -> reading.read(source, needs, laidOpen, this::show));
            }
        });
    }

    /** {@return whether all of it is shown already, and nothing more is to be read} */
    private boolean isShown(List<Order> orders) {
        List<Shown> now = open.get();
        if (now.size() != orders.size()) return false;
        for (int i = 0; i < orders.size(); i++) {
            Order order = orders.get(i);
            if (order.waits() || now.get(i).waits()
                    || !BatchReading.key(now.get(i).source()).equals(BatchReading.key(order.source()))
                    || !now.get(i).batch().equals(order.batch()) || !now.get(i).hasSame(order.known()))
                return false;
        }
        return true;
    }

    private Needs needs(Batch batch) {
        List<CutRule> rules = batch.rules().rules();
        return new Needs(rules.stream().anyMatch(CutRule.SeparatorSheets.class::isInstance),
                sizesWanted || rules.stream().anyMatch(CutRule.UpTo.class::isInstance));
    }

    private static Shown cut(Order order) {
        Cutting cutting;
        String trouble = "";
        Batch batch = order.batch();
        boolean same =
                order.before().filter(one -> one.batch().runs().equals(batch.runs()) && one.hasSame(order.known())).isPresent();
        List<BatchPage> read = same ? order.before().orElseThrow().read() : SeenPages.inOrder(batch, order.known());
        List<BatchPage> pages = same ? order.before().orElseThrow().pages() : SeenPages.seen(batch, read);
        try {
            cutting = Cutter.cut(pages, batch.rules(), Pieces.byHand(batch));
            if (!order.isKnown() && !order.waits() && needsPages(batch))
                trouble = Words.of("cut.unreadable", order.source().fileName());
        } catch (IllegalArgumentException wrong) {
            trouble = String.valueOf(wrong.getMessage());
            cutting = Cutter.cut(pages, CutRules.NONE, Pieces.byHand(batch));
        }
        return new Shown(order.sources(), batch, order.known(), read, pages, order.isKnown(), order.waits(), cutting,
                Pieces.names(batch, pages, cutting, order.source().fileName(), order.monthFirst()), trouble,
                SheetsToMend.of(batch, read, cutting));
    }

    /** {@return whether a batch is cut by what can only be known of pages that are read} */
    private static boolean needsPages(Batch batch) {
        return batch.rules().rules().stream()
                .anyMatch(rule -> !(rule instanceof CutRule.EveryPages || rule instanceof CutRule.Bookmarks || rule.isAlone()));
    }

    /** {@return which page of which source stands at a place} */
    public static SourcePages page(Batch batch, int place) {
        int before = 0;
        for (SourcePages run : batch.runs()) {
            if (place - before <= run.pageCount())
                return run.part(run.first() + place - before - 1, run.first() + place - before - 1);
            before += run.pageCount();
        }
        throw new IllegalArgumentException("no such page: " + place);
    }

}
