package app.yellowtab.assemble;

import app.yellowtab.carry.CarriedPage;
import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.leaf.PageNumber;
import app.yellowtab.leaf.PlannedBookmark;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.ledger.Ledger;
import app.yellowtab.mark.Placed;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.output.Place;
import app.yellowtab.plan.Plan;
import app.yellowtab.sets.Output;
import app.yellowtab.sets.Ways;
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
    static Map<SourceId, Integer> sourcePlaces(List<Delivery.File> files) {
        Map<SourceId, Integer> places = new LinkedHashMap<>();
        for (Delivery.File file : files) for (Leaf leaf : file.output().leaves())
            if (leaf.content() instanceof Content.SourcePage page) places.putIfAbsent(page.source(), places.size());
        return places;
    }

    static List<Ledger.SourceFile> sources(Collection<SourceId> ids, SourceFiles files) {
        return ids.stream().map(id -> {
            Source source = files.source(id);
            return new Ledger.SourceFile(source.fileName(), source.sha256(), source.pageCount());
        }).toList();
    }

    /** {@return the pages of the index in all files} */
    static List<Ledger.IndexPage> index(Delivery delivery) {
        List<Ledger.IndexPage> pages = new ArrayList<>();
        for (int number = 0; number < delivery.files().size(); number++) {
            Delivery.File file = delivery.files().get(number);
            Ways ways = delivery.ways(number);
            int own = number;
            for (Leaf leaf : file.output().leaves()) {
                if (!(leaf.content() instanceof Content.IndexSheet index)) continue;
                pages.add(new Ledger.IndexPage(new Place(number, file.output().position(leaf.index())), IndexSheetSetter
                        .rows(file.plan(), index.sheet()).stream().map(row -> row(row, ways, own)).toList()));
            }
        }
        return pages;
    }

    private static Ledger.Row row(PlacedRow row, Ways ways, int own) {
        PDRectangle area = row.area();
        PlannedEntry.Span span = row.row().entry().span();
        return new Ledger.Row(row.text(), row.pages(),
                span.isEmpty() ? Place.NOWHERE : ways.to(span.first()).map(way -> way.place().in(own)).orElse(Place.NOWHERE),
                new Ledger.Area(area.getLowerLeftX(), area.getLowerLeftY(), area.getUpperRightX(), area.getUpperRightY()));
    }

    static List<Ledger.Enclosed> enclosed(Plan plan) {
        return plan.enclosures().stream().map(file -> new Ledger.Enclosed(file.name(), file.bytes(), file.sha256())).toList();
    }

    /** {@return the bookmarks of all files} */
    static List<Ledger.Bookmark> bookmarks(List<Delivery.File> files) {
        List<Ledger.Bookmark> all = new ArrayList<>();
        for (int number = 0; number < files.size(); number++) {
            Output output = files.get(number).output();
            for (PlannedBookmark bookmark : output.bookmarks()) all.add(new Ledger.Bookmark(number, bookmark.level(),
                    bookmark.title(), new Place(number, output.position(bookmark.target().leaf()))));
        }
        return all;
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

    /** @param name by which other files lead to it; empty where none does */
    static Ledger.Page leaf(Leaf leaf, Place place, String name, CarriedPage page, String kind, Map<SourceId, Integer> places) {
        Optional<Ledger.From> from = leaf.content() instanceof Content.SourcePage source
                ? Optional.of(new Ledger.From(Objects.requireNonNull(places.get(source.source())), source.page()))
                : Optional.empty();
        return new Ledger.Page(place, name, leaf.number().map(PageNumber::shown), leaf.label(), kind, page.contentPrint(),
                page.contentPrint(), page.pagePrint(),
                leaf.content() instanceof Content.SourcePage source ? source.look() : PageLook.PLAIN,
                page.marks().stream().map(LedgerParts::mark).toList(), from,
                page.links().stream().map(to -> to.in(place.file())).toList(), page.allResources());
    }

    private static Ledger.Mark mark(Placed placed) {
        return new Ledger.Mark(placed.mark().series(), placed.mark().words(),
                new Ledger.Area(placed.x(), placed.y(), placed.box().right(), placed.box().top()), placed.sizePt(),
                placed.mark().look().turn());
    }
}
