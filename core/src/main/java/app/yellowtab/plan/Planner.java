package app.yellowtab.plan;

import app.yellowtab.model.Bundle;
import app.yellowtab.model.Contents;
import app.yellowtab.model.Document;
import app.yellowtab.model.PageRun;
import app.yellowtab.model.Section;
import app.yellowtab.model.Separators;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceBookmark;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.PlannedEntry.PlannedDocument;
import app.yellowtab.plan.PlannedEntry.PlannedSection;
import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
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
        return new Run(bundle, Map.of()).plan();
    }

    /**
     * {@return the same as {@link #plan(Bundle)}, sooner after a small change} Documents that are still the ones of an
     * earlier plan are not broken into lines again, which takes most of the time.
     */
    public static Plan plan(Bundle bundle, Plan before) {
        Map<Document, IndexRow> set = new IdentityHashMap<>();
        for (List<IndexRow> sheet : before.indexSheets()) {
            for (IndexRow row : sheet) if (row.entry() instanceof PlannedDocument planned) set.put(planned.document(), row);
        }
        return new Run(bundle, set).plan();
    }

    /** {@return the letter of the n-th section, counted from 0: A to Z, then AA, AB and so on} */
    static String letter(int n) {
        String last = String.valueOf((char) ('A' + n % 26));
        return n < 26 ? last : letter(n / 26 - 1) + last;
    }

    /** The planning of one bundle. */
    private static final class Run {
        private final Bundle bundle;
        private final Map<SourceId, Source> sources;
        /** The rows of documents that were set before. */
        private final Map<Document, IndexRow> set;
        private final List<String> headingLines;
        private final IndexSetter setter;
        private final List<Leaf> leaves = new ArrayList<>();
        private final List<@Nullable PlannedEntry> entries = new ArrayList<>();
        private final List<SetLines> lines = new ArrayList<>();
        private final List<PlannedBookmark> bookmarks = new ArrayList<>();
        private int tabs;

        Run(Bundle bundle, Map<Document, IndexRow> set) {
            this.bundle = bundle;
            this.set = set;
            this.sources = bundle.sourcesById();
            this.headingLines = IndexSetter.headingLines(bundle.heading());
            this.setter = new IndexSetter(headingLines.size());
        }

        Plan plan() {
            setLines(bundle.contents(), 0);
            List<Integer> rowsPerSheet = setter.sheets();
            List<List<CoverPart>> cover = bundle.layout().cover() ? CoverSetter.sheets(bundle.heading()) : List.of();
            for (int sheet = 0; sheet < cover.size(); sheet++) leaves.add(new Leaf.Cover(next(), sheet));
            bookmarks.add(new PlannedBookmark(1, "Index", next()));
            for (int sheet = 0; sheet < rowsPerSheet.size(); sheet++) leaves.add(new Leaf.IndexSheet(next(), sheet));
            place(bundle.contents(), 0, "");
            List<PlannedEntry> placed = entries.stream().<PlannedEntry>map(Objects::requireNonNull).toList();
            return new Plan(bundle.heading(), bundle.fromSources().comments(), List.copyOf(leaves), placed, headingLines,
                    indexSheets(placed, rowsPerSheet), List.copyOf(bookmarks), cover);
        }

        private int next() {
            return leaves.size() + 1;
        }

        private void setLines(Contents contents, int depth) {
            for (Document document : contents.documents()) {
                if (!document.inIndex()) continue;
                SetLines broken = linesOf(document, depth);
                lines.add(broken);
                setter.add(false, broken.title.size(), broken.description.size());
            }
            for (Section section : contents.sections()) {
                SetLines broken = new SetLines(IndexSetter.sectionLines(section.title(), depth), List.of());
                lines.add(broken);
                setter.add(true, broken.title.size(), 0);
                setLines(section.contents(), depth + 1);
            }
        }

        private SetLines linesOf(Document document, int depth) {
            IndexRow before = set.get(document);
            return before != null && before.entry().depth() == depth ? new SetLines(before.titleLines(), before.descriptionLines())
                    : new SetLines(IndexSetter.titleLines(document, depth), IndexSetter.descriptionLines(document, depth));
        }

        private void place(Contents contents, int depth, String outerLabel) {
            boolean first = true;
            for (Document document : contents.documents()) {
                place(document, depth, first);
                first = false;
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
            int firstPage = next();
            bookmarks.add(new PlannedBookmark(depth + 1, label + ". " + section.title(), firstPage));
            leaves.add(new Leaf.SectionTitle(firstPage, section.id(), label, section.title()));
            place(section.contents(), depth + 1, label);
            entries.set(slot, new PlannedSection(section, label, depth, firstPage, leaves.size()));
        }

        private void place(Document document, int depth, boolean first) {
            int tab = document.inIndex() ? ++tabs : 0;
            Separators separators = bundle.layout().separators();
            if (separators == Separators.BLANK && !first) leaves.add(new Leaf.Blank(next(), document.id()));
            if (separators == Separators.TITLED) leaves.add(new Leaf.Divider(next(), document.id(), tab, document.title()));
            int firstPage = next();
            bookmarks.add(new PlannedBookmark(depth + 1, tab == 0 ? document.title() : tab + ". " + document.title(), firstPage));
            for (PageRun run : document.runs()) place(document, run, depth + 1);
            entries.add(new PlannedDocument(document, tab, depth, firstPage, leaves.size()));
        }

        private void place(Document document, PageRun run, int level) {
            Source source = sources.get(run.source());
            if (source == null) throw new IllegalArgumentException("no such source in the bundle: " + run.source().value());
            int offset = leaves.size() + 1 - run.firstPage();
            int previous = level;
            for (SourceBookmark own : source.bookmarks()) {
                if (own.page() < run.firstPage() || own.page() > run.lastPage() || own.level() > bundle.fromSources().bookmarkLevels()) continue;
                previous = Math.min(level + own.level(), previous + 1);
                bookmarks.add(new PlannedBookmark(previous, own.title(), own.page() + offset, own.look()));
            }
            for (int page = run.firstPage(); page <= run.lastPage(); page++) {
                leaves.add(new Leaf.SourcePage(next(), document.id(), run.source(), page));
            }
        }

        private List<List<IndexRow>> indexSheets(List<PlannedEntry> placed, List<Integer> rowsPerSheet) {
            Iterator<SetLines> broken = lines.iterator();
            Iterator<IndexRow> rows = placed.stream().filter(Run::isListed)
                    .map(entry -> broken.next().row(entry)).iterator();
            List<List<IndexRow>> sheets = new ArrayList<>();
            for (int count : rowsPerSheet) {
                List<IndexRow> sheet = new ArrayList<>();
                for (int i = 0; i < count; i++) sheet.add(rows.next());
                sheets.add(List.copyOf(sheet));
            }
            return List.copyOf(sheets);
        }

        private static boolean isListed(PlannedEntry entry) {
            return switch (entry) {
                case PlannedSection section -> true;
                case PlannedDocument document -> document.tab() > 0;
            };
        }

        private record SetLines(List<String> title, List<String> description) {
            IndexRow row(PlannedEntry entry) {
                return new IndexRow(entry, title, description);
            }
        }
    }
}
