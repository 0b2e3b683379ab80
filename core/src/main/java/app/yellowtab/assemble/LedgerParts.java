package app.yellowtab.assemble;

import app.yellowtab.carry.CarriedPage;
import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.leaf.PageNumber;
import app.yellowtab.ledger.Ledger;
import app.yellowtab.mark.Placed;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Plan;
import app.yellowtab.sets.Output;
import app.yellowtab.sheet.IndexSheetSetter;
import app.yellowtab.sheet.IndexSheetSetter.PlacedRow;
import app.yellowtab.source.SourceFiles;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/** What of a plan goes into the ledger. */
final class LedgerParts {
    private LedgerParts() {}

    /** {@return the sources that leaves come from, each with its place in the ledger, in order} */
    static Map<SourceId, Integer> sourcePlaces(Output output) {
        Map<SourceId, Integer> places = new LinkedHashMap<>();
        for (Leaf leaf : output.leaves())
            if (leaf.content() instanceof Content.SourcePage page) places.putIfAbsent(page.source(), places.size());
        return places;
    }

    static List<Ledger.SourceFile> sources(Collection<SourceId> ids, SourceFiles files) {
        return ids.stream().map(id -> {
            Source source = files.source(id);
            return new Ledger.SourceFile(source.fileName(), source.sha256(), source.pageCount());
        }).toList();
    }

    static List<Ledger.IndexPage> index(Plan plan, Output output) {
        List<Ledger.IndexPage> pages = new ArrayList<>();
        for (Leaf leaf : output.leaves()) {
            if (!(leaf.content() instanceof Content.IndexSheet index)) continue;
            pages.add(new Ledger.IndexPage(output.position(leaf.index()),
                    IndexSheetSetter.rows(plan, index.sheet()).stream().map(row -> row(row, output)).toList()));
        }
        return pages;
    }

    private static Ledger.Row row(PlacedRow row, Output output) {
        PDRectangle area = row.area();
        return new Ledger.Row(row.text(), row.pages(),
                row.row().entry().span().isEmpty() ? 0 : output.position(row.row().entry().span().first()),
                new Ledger.Area(area.getLowerLeftX(), area.getLowerLeftY(), area.getUpperRightX(), area.getUpperRightY()));
    }

    static List<Ledger.Enclosed> enclosed(Plan plan) {
        return plan.enclosures().stream().map(file -> new Ledger.Enclosed(file.name(), file.bytes(), file.sha256())).toList();
    }

    static List<Ledger.Bookmark> bookmarks(Output output) {
        return output.bookmarks().stream().map(b -> new Ledger.Bookmark(b.level(), b.title(), output.position(b.target().leaf())))
                .toList();
    }

    /** {@return what the ledger calls a leaf of ours, or a source's page} */
    static String kind(Leaf leaf) {
        return switch (leaf.content()) {
            case Content.Cover c -> "cover";
            case Content.IndexSheet i -> "index";
            case Content.SectionTitle s -> "section";
            case Content.Blank b -> "blank";
            case Content.Divider d -> "divider";
            case Content.TabSheet t -> "tab_sheet";
            case Content.Slip s -> "slip";
            case Content.Withheld w -> "slip";
            case Content.FrontSheet f -> "front_sheet";
            case Content.FileSheet f -> "file_sheet";
            case Content.SourcePage s -> "page";
        };
    }

    static Ledger.Page leaf(Leaf leaf, int position, CarriedPage page, String kind, Map<SourceId, Integer> places) {
        Optional<Ledger.From> from = leaf.content() instanceof Content.SourcePage source
                ? Optional.of(new Ledger.From(Objects.requireNonNull(places.get(source.source())), source.page()))
                : Optional.empty();
        return new Ledger.Page(position, leaf.number().map(PageNumber::shown), leaf.label(), kind, page.contentPrint(),
                page.pagePrint(), leaf.content() instanceof Content.SourcePage source ? source.look() : PageLook.PLAIN,
                page.marks().stream().map(LedgerParts::mark).toList(), from, page.links(), page.allResources());
    }

    private static Ledger.Mark mark(Placed placed) {
        return new Ledger.Mark(placed.mark().series(), placed.mark().words(),
                new Ledger.Area(placed.x(), placed.y(), placed.box().right(), placed.box().top()), placed.sizePt(),
                placed.mark().look().turn());
    }
}
