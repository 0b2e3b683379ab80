package app.yellowtab.plan;

import app.yellowtab.cover.CoverPart;
import app.yellowtab.cover.CoverSetter;
import app.yellowtab.cover.FrontSheetWords;
import app.yellowtab.index.IndexRow;
import app.yellowtab.index.IndexSetter;
import app.yellowtab.index.SlipWords;
import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.leaf.Parting;
import app.yellowtab.leaf.PlannedBookmark;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.leaf.PlannedEntry.PlannedDocument;
import app.yellowtab.leaf.PlannedEntry.PlannedSection;
import app.yellowtab.leaf.Target;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.PaperSet;
import app.yellowtab.model.Separators;
import app.yellowtab.model.Volumes;
import app.yellowtab.model.contents.Contents;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.Section;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.number.Numbering;
import app.yellowtab.model.number.RunningLine;
import app.yellowtab.model.page.LookedPage;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.page.PageView;
import app.yellowtab.model.run.BlankLook;
import app.yellowtab.model.run.BlankPages;
import app.yellowtab.model.run.EnclosedFile;
import app.yellowtab.model.run.FrontSheet;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.run.ReservedPages;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceBookmark;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Marking.PlannedSeries;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Makes the plan of a bundle. A pure function: the same bundle gives an equal plan. */
public final class Planner {
    private Planner() {}

    /**
     * Lists every leaf of the bundle in print order: cover, index, then the documents behind their section titles.
     *
     * @param bundle with or without documents; the sources of its documents must be in it
     * @return the plan, never without an index page
     * @throws IllegalArgumentException if a document takes pages from a source that the bundle does not hold
     */
    public static Plan plan(Bundle bundle) {
        return plan(bundle, LocalDateTime.now());
    }

    /**
     * {@return the same as {@link #plan(Bundle)}, as it is produced at a time} Lines at head and foot may say when that is.
     *
     * @throws IllegalArgumentException if a document takes pages from a source that the bundle does not hold
     */
    public static Plan plan(Bundle bundle, LocalDateTime produced) {
        return new Planning(bundle, produced, Map.of(), null, Optional.empty()).plan();
    }

    /**
     * {@return the same with the leaves that only the set to be printed has} What is counted stands in it with the same numbers.
     *
     * @throws IllegalArgumentException if a document takes pages from a source that the bundle does not hold
     */
    public static Plan paper(Bundle bundle, LocalDateTime produced) {
        return new Planning(bundle, produced, Map.of(), null, Optional.of(bundle.layout().paper())).plan();
    }

    /**
     * {@return the same as {@link #plan(Bundle)}, sooner after a small change} Documents that are still the ones of an
     * earlier plan are not broken into lines again, which takes most of the time.
     */
    public static Plan plan(Bundle bundle, Plan before) {
        Map<Document, IndexRow> set = new IdentityHashMap<>();
        boolean inIndex = bundle.layout().volumes().by() != Volumes.Division.NOTHING;
        if (before.agreement() != bundle.layout().agreement() || before.parting().inIndex() != inIndex) return plan(bundle);
        for (List<IndexRow> sheet : before.indexSheets()) {
            for (IndexRow row : sheet) if (row.entry() instanceof PlannedDocument planned) set.put(planned.document(), row);
        }
        return new Planning(bundle, LocalDateTime.now(), set, before, Optional.empty()).plan();
    }

    /** {@return the letter of the n-th section, counted from 0: A to Z, then AA, AB and so on} */
    static String letter(int n) {
        String last = String.valueOf((char) ('A' + n % 26));
        return n < 26 ? last : letter(n / 26 - 1) + last;
    }

    /** {@return the view that shows the same of a page with its look; the top of it where the page's shape is not known} */
    public static String view(SourceBookmark own, Source source, PageLook look) {
        if (look.isPlain() || own.look().view().isEmpty()) return own.look().view();
        return source.about().pages().shape(own.page())
                .map(shape -> PageView.moved(own.look().view(), LookedPage.onto(shape, look))).orElse("");
    }

    /** The planning of one bundle. */
    private static final class Planning {
        /** For so many leaves room is made at once, which is quicker. */
        private static final long ROOM = 1 << 16;

        private final Bundle bundle;
        private final LocalDateTime produced;
        private final Map<SourceId, Source> sources;
        private final Optional<Plan> before;
        private final List<Leaf> leavesBefore;
        /** Where documents stood before: what their leaves show is taken over, which is quicker than making it. */
        private final Map<Document, PlannedDocument> plannedBefore = new IdentityHashMap<>();
        private final Enclosures enclosures;
        private final List<String> headingLines;
        private final IndexLines lines;
        private final List<Leaf> leaves;
        private final List<@Nullable PlannedEntry> entries = new ArrayList<>();
        private final List<PlannedBookmark> bookmarks = new ArrayList<>();
        /** What front sheets name, found once. */
        private final Map<EntryId, Document> documents = new HashMap<>();
        private final NumberCounter counter;
        private final PaperLeaves paper;
        private final Volumes volumes;
        private final boolean isPaper;
        private int tabs;

        Planning(Bundle bundle, LocalDateTime produced, Map<Document, IndexRow> set, @Nullable Plan before,
                Optional<PaperSet> onPaper) {
            this.before = Optional.ofNullable(before);
            this.leavesBefore = before == null ? List.of() : before.leaves();
            if (before != null) for (PlannedEntry entry : before.entries())
                if (entry instanceof PlannedDocument planned) plannedBefore.put(planned.document(), planned);
            this.bundle = bundle;
            this.produced = produced;
            this.counter = new NumberCounter(bundle.numbering().bundle());
            this.sources = bundle.sourcesById();
            this.enclosures = new Enclosures(bundle.contents().allDocuments(), sources);
            this.headingLines = IndexSetter.headingLines(bundle.heading());
            this.lines = new IndexLines(bundle, enclosures, set, headingLines.size());
            this.leaves = new ArrayList<>((int) Math.min(ROOM, sources.values().stream().mapToLong(Source::pageCount).sum()));
            this.paper = new PaperLeaves(onPaper.orElse(PaperSet.STANDARD), leaves);
            this.volumes = bundle.layout().volumes();
            this.isPaper = onPaper.isPresent();
        }

        Plan plan() {
            int coverSheets = cover(Parting.NONE).size();
            for (int sheet = 0; sheet < coverSheets; sheet++) add(new Content.Cover(sheet));
            bookmarks.add(new PlannedBookmark(1, "Index", next()));
            int indexPages = Math.max(lines.sheetCount(), bundle.numbering().bundle().indexPages());
            for (int sheet = 0; sheet < indexPages; sheet++) add(new Content.IndexSheet(sheet));
            counter.endFront();
            place(bundle.contents(), 0, "");
            List<PlannedEntry> placed = entries.stream().<PlannedEntry>map(Objects::requireNonNull).toList();
            Parting parting = new Parting(volumes.by() != Volumes.Division.NOTHING,
                    isPaper ? List.of() : VolumePlanner.plan(volumes, leaves, placed));
            return new Plan(bundle.heading(), bundle.fromSources().comments(), List.copyOf(leaves), placed, headingLines,
                    lines.sheets(placed, indexPages), List.copyOf(bookmarks), cover(parting), bundle.layout().agreement(),
                    enclosures.list(),
                    marking(placed), parting, bundle.toLookAt());
        }

        /** {@return the cover of the first volume} It has room for a line that says so wherever there may be several. */
        private List<List<CoverPart>> cover(Parting parting) {
            if (!bundle.layout().cover()) return List.of();
            return CoverSetter.sheets(bundle.heading(), volumes.by() == Volumes.Division.NOTHING ? Optional.empty()
                    : Optional.of(parting.volumes().isEmpty() ? "" : parting.volumes().getFirst().words()));
        }

        private Marking marking(List<PlannedEntry> placed) {
            Numbering numbering = bundle.numbering();
            List<PlannedSeries> running = new ArrayList<>();
            if (!numbering.lines().isEmpty()) {
                LineWords words = new LineWords(bundle.heading(), List.copyOf(leaves), placed, sources, produced);
                for (RunningLine line : numbering.lines()) running.add(PlannedSeries.line(line.id(), line.setting(),
                        words.of(line.parts(), Reach.of(line.setting().pages(), leaves, placed))));
            }
            return new Marking(numbering.bundle(), Reach.of(numbering.bundle().setting().pages(), leaves, placed),
                    Marking.totals(numbering.bundle(), leaves), SeriesPlanner.plan(bundle, leaves, placed, before), running,
                    Marking.Moved.of(numbering.moves()), Covers.of(numbering.old(), sources));
        }

        /** {@return the index of the leaf that comes next} */
        private int next() {
            return leaves.size();
        }

        /** Adds a counted leaf that every set has. */
        private void add(Content content) {
            add(Optional.empty(), content);
        }

        /** Adds a counted page of a document. */
        private void addPage(Document document, PageKey key, Content content) {
            add(Optional.of(key), content);
            paper.after(document);
        }

        private void add(Optional<PageKey> key, Content content) {
            leaves.add(new Leaf(next(), key, Optional.of(counter.take(next())), false, content));
        }

        private void place(Contents contents, int depth, String outerLabel) {
            boolean first = true;
            for (Document document : contents.documents()) {
                place(document, depth, first);
                first &= document.pageCount() == 0;
            }
            int n = 0;
            for (Section section : contents.sections()) {
                String label = outerLabel.isEmpty() ? letter(n) : outerLabel + "." + (n + 1);
                n++;
                place(section, depth, label);
            }
        }

        private void place(Section section, int depth, String label) {
            int slot = entries.size();
            entries.add(null);
            if (depth == 0) counter.begin(label);
            paper.before(section, label);
            int first = next();
            bookmarks.add(new PlannedBookmark(depth + 1, label + ". " + section.title(), first));
            add(new Content.SectionTitle(section.id(), label, section.title()));
            place(section.contents(), depth + 1, label);
            entries.set(slot, new PlannedSection(section, label, depth, span(first)));
        }

        private void place(Document document, int depth, boolean first) {
            int tab = document.inIndex() ? ++tabs : 0;
            if (document.pageCount() == 0) {
                entries.add(new PlannedDocument(document, tab, depth, new PlannedEntry.Span(next() - 1, next() - 2, "", "")));
                return;
            }
            paper.before(document, tab);
            Separators separators = bundle.layout().separators();
            if (separators == Separators.BLANK && !first) add(new Content.Blank(document.id(), BlankLook.PLAIN));
            if (separators == Separators.TITLED) add(new Content.Divider(document.id(), tab, document.title()));
            paper.beforePages(document);
            int firstLeaf = next();
            bookmarks.add(new PlannedBookmark(depth + 1, tab == 0 ? document.title() : tab + ". " + document.title(), firstLeaf));
            List<Run> runs = document.runs();
            PlannedDocument before = plannedBefore.get(document);
            boolean unmoved = before != null && isUnmoved(before);
            boolean known = before != null && takeOver(before, unmoved);
            int at = firstLeaf;
            for (int i = 0; i < runs.size(); i++) {
                switch (runs.get(i)) {
                    case SourcePages pages -> {
                        // What leads to a sheet leads to the first of its halves.
                        if (i == 0 || !pages.isOtherHalfOf(runs.get(i - 1)))
                            mark(pages, known ? at : next(), depth + 1, paper.hasSingleSided(document) ? 2 : 1);
                        if (!known) place(document, pages);
                        at += pages.pageCount();
                    }
                    case BlankPages blank -> place(document, blank);
                    case ReservedPages reserved -> place(document, reserved);
                    case EnclosedFile file -> {
                        if (file.sheet()) addPage(document, file.key(1),
                                new Content.FileSheet(document.id(), document.title(), enclosures.onSheet(file)));
                    }
                    case FrontSheet sheet -> addPage(document, sheet.key(1), frontSheet(document, sheet));
                }
            }
            boolean same = known && unmoved && before.tab() == tab && before.depth() == depth;
            entries.add(same ? before : new PlannedDocument(document, tab, depth, span(firstLeaf)));
        }

        /**
         * Adds the bookmarks that a source has of its own, where its pages begin at a leaf.
         *
         * @param step from one page to the next: 2 where the back of each is empty
         */
        private void mark(SourcePages run, int leaf, int level, int step) {
            Source source = sources.get(run.source());
            if (source == null) throw new IllegalArgumentException("no such source in the bundle: " + run.source().value());
            int previous = level;
            for (SourceBookmark own : source.bookmarks()) {
                if (own.page() < run.first() || own.page() > run.last() || own.level() > bundle.fromSources().bookmarkLevels())
                    continue;
                previous = Math.min(level + own.level(), previous + 1);
                bookmarks.add(new PlannedBookmark(previous, own.title(),
                        new Target(leaf + (own.page() - run.first()) * step, view(own, source, run.look())), own.look()));
            }
        }

        private void place(Document document, SourcePages run) {
            for (int n = 1; n <= run.pageCount(); n++) {
                int page = run.first() + n - 1;
                addPage(document, run.key(n), Content.of(document.id(), run.source(), page, run.look()));
            }
        }

        /** {@return whether the first leaf of a document would stand where it stood, with the number that it bore} */
        private boolean isUnmoved(PlannedDocument before) {
            PlannedEntry.Span span = before.span();
            return !span.isEmpty() && span.first() == next()
                    && leavesBefore.get(span.first()).number().filter(counter.peek(next())::equals).isPresent();
        }

        /**
         * {@return whether the leaves of a document show what they showed, and have been added: it is of pages of sources alone}
         */
        private boolean takeOver(PlannedDocument before, boolean unmoved) {
            for (Run run : before.document().runs()) if (!(run instanceof SourcePages)) return false;
            List<Leaf> known = leavesBefore.subList(before.span().first(), before.span().last() + 1);
            if (unmoved) {
                leaves.addAll(known);
                counter.skip(known.size());
            } else {
                for (Leaf leaf : known) add(leaf.key(), leaf.content());
            }
            return true;
        }

        private void place(Document document, BlankPages run) {
            boolean onlyPaper = run.sets() == BlankPages.Sets.PAPER;
            for (int n = 1; n <= run.count(); n++) {
                Content blank = new Content.Blank(document.id(), run.look());
                if (run.counted()) add(Optional.of(run.key(n)), blank);
                else leaves.add(new Leaf(next(), Optional.of(run.key(n)), Optional.empty(), onlyPaper, blank));
                paper.after(document);
            }
        }

        private Content frontSheet(Document document, FrontSheet sheet) {
            Optional<Document> owner =
                    document.belongsTo().flatMap(id -> Optional.ofNullable(documents.computeIfAbsent(id, this::find)));
            return new Content.FrontSheet(document.id(), sheet.mark(), FrontSheetWords.above(bundle.heading()),
                    FrontSheetWords.below(document, sheet.mark(), owner));
        }

        private @Nullable Document find(EntryId id) {
            return bundle.contents().allDocuments().stream().filter(document -> document.id().equals(id)).findFirst()
                    .orElse(null);
        }

        private void place(Document document, ReservedPages run) {
            for (int n = 1; n <= run.count(); n++) {
                addPage(document, run.key(n),
                        new Content.Slip(document.id(), SlipWords.reserved(document.title(), n, run.count())));
            }
        }

        /** {@return the leaves from an index up to the last there is} */
        private PlannedEntry.Span span(int first) {
            int from = first;
            while (from < leaves.size() && leaves.get(from).number().isEmpty()) from++;
            int to = leaves.size() - 1;
            while (to > from && leaves.get(to).number().isEmpty()) to--;
            boolean counted = from < leaves.size();
            return new PlannedEntry.Span(first, leaves.size() - 1, counted ? leaves.get(from).label() : "",
                    counted ? leaves.get(to).label() : "");
        }
    }
}
