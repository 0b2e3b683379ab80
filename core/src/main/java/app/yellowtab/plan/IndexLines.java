package app.yellowtab.plan;

import app.yellowtab.index.IndexRow;
import app.yellowtab.index.IndexSetter;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.leaf.PlannedEntry.PlannedDocument;
import app.yellowtab.leaf.PlannedEntry.PlannedSection;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Volumes;
import app.yellowtab.model.contents.Contents;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.Section;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Map;

/** The rows of the index broken into lines, which says how many pages it has before any number is known. */
final class IndexLines {
    private final Bundle bundle;
    private final Enclosures enclosures;
    private final Map<Document, IndexRow> set;
    private final IndexSetter setter;
    private final boolean volumes;
    private final List<SetLines> lines = new ArrayList<>();
    private final List<Integer> rowsPerSheet;

    /**
     * @param set          the rows of documents that were set before
     * @param headingLines how many lines the heading has
     */
    IndexLines(Bundle bundle, Enclosures enclosures, Map<Document, IndexRow> set, int headingLines) {
        this.bundle = bundle;
        this.enclosures = enclosures;
        this.set = set;
        this.volumes = bundle.layout().volumes().by() != Volumes.Division.NOTHING;
        this.setter = new IndexSetter(headingLines);
        add(bundle.contents(), 0);
        this.rowsPerSheet = setter.sheets();
    }

    private record SetLines(List<String> title, List<String> description) {
        IndexRow row(PlannedEntry entry) {
            return new IndexRow(entry, title, description);
        }
    }

    private void add(Contents contents, int depth) {
        for (Document document : contents.documents()) {
            if (!document.inIndex()) continue;
            SetLines broken = of(document, depth);
            lines.add(broken);
            setter.add(false, broken.title.size(), broken.description.size());
        }
        for (Section section : contents.sections()) {
            SetLines broken = new SetLines(IndexSetter.sectionLines(section.title(), depth, volumes), List.of());
            lines.add(broken);
            setter.add(true, broken.title.size(), 0);
            add(section.contents(), depth + 1);
        }
    }

    private SetLines of(Document document, int depth) {
        IndexRow before = set.get(document);
        return before != null && before.entry().depth() == depth && document.enclosed().isEmpty()
                ? new SetLines(before.titleLines(), before.descriptionLines())
                : new SetLines(IndexSetter.titleLines(document, depth, volumes), IndexSetter.descriptionLines(document, depth,
                        bundle.layout().agreement(), volumes, enclosures.inIndex(document)));
    }

    /** {@return how many pages the rows need} */
    int sheetCount() {
        return rowsPerSheet.size();
    }

    /**
     * {@return the rows of each page of the index}
     *
     * @param placed all entries, in order
     * @param pages  how many pages it has; those that the rows do not need are empty
     */
    List<List<IndexRow>> sheets(List<PlannedEntry> placed, int pages) {
        Iterator<SetLines> broken = lines.iterator();
        Iterator<IndexRow> rows =
                placed.stream().filter(IndexLines::isListed).map(entry -> broken.next().row(entry)).iterator();
        List<List<IndexRow>> sheets = new ArrayList<>();
        for (int count : rowsPerSheet) {
            List<IndexRow> sheet = new ArrayList<>();
            for (int i = 0; i < count; i++) sheet.add(rows.next());
            sheets.add(List.copyOf(sheet));
        }
        while (sheets.size() < pages) sheets.add(List.of());
        return List.copyOf(sheets);
    }

    private static boolean isListed(PlannedEntry entry) {
        return switch (entry) {
            case PlannedSection section -> true;
            case PlannedDocument document -> document.tab() > 0;
        };
    }
}
