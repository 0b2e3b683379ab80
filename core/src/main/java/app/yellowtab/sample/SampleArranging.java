package app.yellowtab.sample;

import app.yellowtab.edit.Edits;
import app.yellowtab.edit.Entries;
import app.yellowtab.edit.Place;
import app.yellowtab.edit.Placeholders;
import app.yellowtab.edit.number.NumberEdits;
import app.yellowtab.edit.page.PageEdits;
import app.yellowtab.mark.MarkLook;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Contents;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.InTray;
import app.yellowtab.model.contents.Section;
import app.yellowtab.model.entry.Agreement;
import app.yellowtab.model.entry.Agreement.Standing;
import app.yellowtab.model.entry.DateReader;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.number.LineField;
import app.yellowtab.model.number.LinePart;
import app.yellowtab.model.number.MarkSetting;
import app.yellowtab.model.number.MarkedPages;
import app.yellowtab.model.number.PageKind;
import app.yellowtab.model.number.RunningLine;
import app.yellowtab.model.number.Series;
import app.yellowtab.model.number.SeriesId;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.page.Redaction;
import app.yellowtab.model.run.PageKey;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;

/**
 * What has been done with the documents of the made-up matter: exhibits go with their statement, and pages are kept free for what
 * is to follow.
 */
final class SampleArranging {
    private static final String WITNESSES = "Witness statements";
    private static final String RECORDS = "Records";
    private static final String AGREEMENT = "The agreement";
    /** What there is to be seen on the plan of the store. */
    private static final Area PLAN = new Area(15, 15, 388, 238);
    /** On the statement of account: its number, and two lines that are nobody's business. */
    private static final List<Redaction> PRIVATE = List.of(new Redaction(new Area(59.5, 56, 24, 5.4), "Account number", false),
            new Redaction(new Area(55, 81.3, 75.5, 5.4), "Private, not in issue", true),
            new Redaction(new Area(57.2, 89.7, 103, 5.4), "Private, not in issue", true));
    private static final int LEFT_ONCE = 3;
    private static final String EXPERTS = "Expert evidence";

    private SampleArranging() {}

    /** {@return the bundle with what belongs to sections that have just been added to it} */
    static Bundle arranged(Bundle bundle, Contents added) {
        Bundle now = bundle;
        for (Section section : added.sections()) {
            if (section.title().equals(WITNESSES)) {
                now = withExhibits(now, section);
                now = withPlaceholder(now, section, "Second statement of Piers Dunnock", 3, "5 September 2031");
            }
            if (section.title().equals(RECORDS)) now = withNumbers(withRecording(withLooks(now, section), section), section);
            if (section.title().equals(AGREEMENT))
                now = looked(now, section, "plan of the store", look -> look.withCrop(Optional.of(PLAN)));
            if (section.title().equals(EXPERTS))
                now = withPlaceholder(now, section, "Addendum to the report of Dr Selwyn Carrow", 4, "");
        }
        return now;
    }

    /** The photographs belong to the first statement, and the first of them begins with the sheet that says so. */
    private static Bundle withExhibits(Bundle bundle, Section section) {
        EntryId statement = section.contents().documents().getFirst().id();
        List<Document> exhibits =
                section.contents().sections().stream().flatMap(inner -> inner.contents().allDocuments().stream()).toList();
        if (exhibits.isEmpty()) return bundle;
        Set<EntryId> ids = new HashSet<>(exhibits.stream().map(Document::id).toList());
        Bundle tied = Entries.tie(bundle, ids, statement);
        return Entries.withFrontSheet(tied, exhibits.getFirst().id(), "OF1");
    }

    /** The call-out sheet lies on its side, and of the account only what matters is to be seen. */
    private static Bundle withLooks(Bundle bundle, Section section) {
        Bundle turned = looked(bundle, section, "call-out sheet", look -> look.withTurns(LEFT_ONCE));
        return looked(turned, section, "Statement of account", look -> look.withRedactions(PRIVATE));
    }

    /** What the defendant disclosed bears its numbers, and every page says what bundle it is of. */
    private static Bundle withNumbers(Bundle bundle, Section section) {
        RunningLine line = new RunningLine(new SeriesId("case"),
                new MarkSetting(new Spot(Spot.Row.HEAD, Spot.Column.RIGHT, 10, 8), false, MarkLook.LINE.withSize(8),
                        MarkedPages.ALL.without(PageKind.COVER, true)),
                List.of(LinePart.Field.of(LineField.CASE_NUMBER), new LinePart.Typed(" · "),
                        LinePart.Field.of(LineField.BUNDLE_TITLE)));
        return NumberEdits.with(NumberEdits.with(bundle, line), new Series(new SeriesId("disclosure"), "BC-000101",
                new MarkSetting(Spot.OPPOSITE, false, MarkLook.SERIES, MarkedPages.of(List.of(section.id())))));
    }

    private static Bundle looked(Bundle bundle, Section section, String title, UnaryOperator<PageLook> change) {
        Set<PageKey> first = new HashSet<>();
        for (Document document : section.contents().documents())
            if (document.title().contains(title)) first.add(document.runs().getFirst().key(1));
        return PageEdits.looked(bundle, first, change);
    }

    /** The recording of a call goes along as it is, and a sheet stands for it. */
    private static Bundle withRecording(Bundle bundle, Section section) {
        List<String> sounds = bundle.tray().stream()
                .filter(lies -> lies instanceof InTray.File file && file.source().fileName().endsWith(".wav")).map(InTray::id)
                .toList();
        return Edits.putInIndex(bundle, sounds, new Place(Optional.of(section.id()), section.contents().documents().size()));
    }

    /**
     * {@return the bundle as the other side would have its index: most of it agreed, some of it not, and some of it otherwise}
     */
    static Bundle asTheyWantIt(Bundle bundle) {
        Bundle now = bundle;
        for (Document document : bundle.contents().allDocuments())
            now = Edits.changeDocument(now, document.id(), each -> each.withAgreement(new Agreement(Standing.AGREED, "")));
        now = changed(now, "Defence", document -> document.withTitle("Defence, as amended on 9 May 2031"));
        now = changed(now, "Letter of response",
                document -> document.withDate(DateReader.read("15 January 2031", false).orElseThrow()));
        now = changed(now, "Note of a meeting at the store",
                document -> document.withAgreement(new Agreement(Standing.DISPUTED, "the note was never sent to us")));
        now = changed(now, "Addendum to the report of Dr Selwyn Carrow",
                document -> document.withAgreement(new Agreement(Standing.AWAITED, "")));
        Optional<Section> records =
                bundle.contents().sections().stream().filter(section -> section.title().equals(RECORDS)).findFirst();
        if (records.isPresent())
            now = withPlaceholder(now, records.get(), "Delivery book of the store, October 2030", 6, "October 2030");
        Set<EntryId> gone = new HashSet<>(bundle.contents().allDocuments().stream()
                .filter(document -> document.title().startsWith("Insurer's note")).map(Document::id).toList());
        return Edits.takeOut(now, gone);
    }

    private static Bundle changed(Bundle bundle, String title, UnaryOperator<Document> change) {
        return bundle.contents().allDocuments().stream().filter(document -> document.title().equals(title)).findFirst()
                .map(document -> Edits.changeDocument(bundle, document.id(), change)).orElse(bundle);
    }

    private static Bundle withPlaceholder(Bundle bundle, Section section, String title, int pages, String date) {
        Document free = Placeholders.placeholder(title, pages).withDate(DateReader.read(date, false).orElseThrow());
        return Edits.insertDocuments(bundle, List.of(free),
                new Place(Optional.of(section.id()), section.contents().documents().size()));
    }
}
