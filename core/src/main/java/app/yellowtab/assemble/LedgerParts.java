package app.yellowtab.assemble;

import app.yellowtab.carry.CarriedPage;
import app.yellowtab.ledger.Ledger;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Leaf;
import app.yellowtab.plan.Plan;
import app.yellowtab.sheet.IndexSheetSetter.PlacedRow;
import app.yellowtab.sheet.IndexSheetSetter;
import app.yellowtab.source.SourceFiles;
import app.yellowtab.stamp.NumberStamp;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/** What of a plan goes into the ledger. */
final class LedgerParts {
    private LedgerParts() {}

    /** {@return the sources that leaves come from, each with its place in the ledger, in order} */
    static Map<SourceId, Integer> sourcePlaces(Plan plan) {
        Map<SourceId, Integer> places = new LinkedHashMap<>();
        for (Leaf leaf : plan.leaves()) if (leaf instanceof Leaf.SourcePage page) places.putIfAbsent(page.source(), places.size());
        return places;
    }

    static List<Ledger.SourceFile> sources(Collection<SourceId> ids, SourceFiles files) {
        return ids.stream().map(id -> {
            Source source = files.source(id);
            return new Ledger.SourceFile(source.fileName(), source.sha256(), source.pageCount());
        }).toList();
    }

    static List<Ledger.IndexPage> index(Plan plan) {
        List<Ledger.IndexPage> pages = new ArrayList<>();
        for (Leaf leaf : plan.leaves()) {
            if (!(leaf instanceof Leaf.IndexSheet index)) continue;
            pages.add(new Ledger.IndexPage(index.number(), IndexSheetSetter.rows(plan, index.sheet()).stream().map(LedgerParts::row).toList()));
        }
        return pages;
    }

    private static Ledger.Row row(PlacedRow row) {
        PDRectangle area = row.area();
        return new Ledger.Row(row.text(), row.pages(), row.row().entry().firstPage(),
                new Ledger.Area(area.getLowerLeftX(), area.getLowerLeftY(), area.getUpperRightX(), area.getUpperRightY()));
    }

    static List<Ledger.Bookmark> bookmarks(Plan plan) {
        return plan.bookmarks().stream().map(b -> new Ledger.Bookmark(b.level(), b.title(), b.page())).toList();
    }

    /** {@return what the ledger calls a leaf of ours, or a source's page} */
    static String kind(Leaf leaf) {
        return switch (leaf) {
            case Leaf.Cover c -> "cover";
            case Leaf.IndexSheet i -> "index";
            case Leaf.SectionTitle s -> "section";
            case Leaf.Blank b -> "blank";
            case Leaf.Divider d -> "divider";
            case Leaf.SourcePage s -> "page";
        };
    }

    static Ledger.Leaf leaf(Leaf leaf, CarriedPage page, String kind, Map<SourceId, Integer> places) {
        NumberStamp.Place stamp = page.stamp();
        Leaf.SourcePage from = leaf instanceof Leaf.SourcePage source ? source : null;
        return new Ledger.Leaf(leaf.number(), String.valueOf(leaf.number()), kind, page.fingerprint(), new Ledger.Stamp(stamp.x(), stamp.y(), stamp.sizePt()),
                from == null ? -1 : places.get(from.source()), from == null ? 0 : from.page(), page.links(), page.allResources());
    }
}
