package app.yellowtab.find;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.edit.page.Redacting;
import app.yellowtab.facts.PageText.Word;
import app.yellowtab.find.Recurrences.Found;
import app.yellowtab.find.Recurrences.Recurrence;
import app.yellowtab.finding.Finding;
import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.cut.Batch;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.Spared;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.redact.TakenOut;
import app.yellowtab.source.InPlace;
import app.yellowtab.testing.Folder;
import app.yellowtab.testing.Pdfs;
import app.yellowtab.words.BatchPage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is redacted on one page, and read on another. */
class RecurrencesTests {
    private static final String ADVICE =
            "We advise the company to settle with the Aldermere branch for 48,250 before the hearing.";
    @TempDir
    private Path folder;

    /** {@return a bundle of a file whose pages say something, line by line; "/" ends a line} */
    private Bundle bundle(InPlace place, String... pages) throws IOException {
        Pdfs.write(folder, "S", pages.length, document -> {
            for (int i = 0; i < pages.length; i++) say(document.getPage(i), document, pages[i]);
        });
        return Folder.bundle(place, folder);
    }

    private static void say(PDPage page, PDDocument document, String words) {
        try (PDPageContentStream content = new PDPageContentStream(document, page, PDPageContentStream.AppendMode.OVERWRITE,
                true)) {
            content.beginText();
            content.setFont(new PDType1Font(Standard14Fonts.FontName.HELVETICA), 11);
            content.newLineAtOffset(60, 600);
            content.setLeading(20);
            for (String line : words.split("/")) {
                content.showText(line);
                content.newLine();
            }
            content.endText();
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    /** {@return the bundle with words redacted on the first page on which they stand} */
    private static Bundle redacted(Bundle bundle, InPlace place, String words) throws IOException {
        for (Leaf leaf : Planner.plan(bundle).leaves()) {
            if (!(leaf.content() instanceof Content.SourcePage page)) continue;
            BatchPage read = new BundleWords(place).page(page.source(), page.page()).orElseThrow();
            List<WordFinder.Hit> hits = new WordFinder(words).on(read.text());
            if (hits.isEmpty()) continue;
            List<Area> areas = new ArrayList<>();
            for (Word word : hits.getFirst().words())
                areas.add(TakenOut.over(List.of(word), read.state(), read.widthMm(), read.heightMm()));
            return Redacting.redacted(bundle, leaf.key().orElseThrow(), areas, "privileged", false);
        }
        throw new AssertionError("nowhere: " + words);
    }

    private static Found found(Bundle bundle, InPlace place) {
        Plan plan = Planner.plan(bundle);
        return RedactedWords.in(bundle, plan, new BundleWords(place), () -> false).recurrences();
    }

    private static List<String> words(Found found) {
        return found.open().stream().map(Recurrence::words).toList();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', nullValues = "nothing", value = {
            "a name, whole|Sarah Whitlow|met Sarah Whitlow there|Sarah Whitlow",
            "a part of it, with an s and a comma|Sarah Whitlow|in Whitlow's hand, and then|Whitlow's",
            "other capitals, no accents|Zoë Carré|was told by ZOE CARRE that|ZOE CARRE",
            "as a scan is read|Quillfeather|the Quilifeather account|Quilifeather",
            "parted at the end of a line|Quillfeather|for Quill-/feather and sons|Quill- feather",
            "in an address|Whitlow|write to s.whitlow@mills.example now|s.whitlow@mills.example",
            "a figure, otherwise parted|account 4471 2208|no 44712208 there|44712208",
            "a figure with a letter that looks like one|ref 4471|see 447l above|447l",
            "another word|settle with the Aldermere branch at|settle with the Aldermere men at|settle with the Aldermere men at",
            "another word in it|settle with the Aldermere branch|settle with the Aldermere men|settle with the Aldermere",
            "an amount out of a sentence|Aldermere branch for 48,250 before|paid 48 250 and|48 250",
            "grammar is no recurrence|the hearing of|the story of that|nothing",
            "a few usual words of a sentence|with the Aldermere branch for|the branch in the town|nothing",
            "a date|9 June 2031|on 9 June 2031 and in June|9 June 2031",
            "a short word|Li|Li was there, not Lisa|Li",
    })
    void whatIsRedactedIsFoundWhereItIsReadOnAnotherPage(String what, String redacted, String elsewhere, String expected)
            throws IOException {
        try (InPlace place = new InPlace(List.of())) {
            Bundle bundle = redacted(bundle(place, "Here " + redacted + " stood once", elsewhere), place, redacted);
            assertThat(words(found(bundle, place))).as(what)
                    .isEqualTo(expected == null ? List.of() : Arrays.asList(expected.split(";")));
        }
    }

    @Test
    void eachIsDecidedForItselfAndWhatWasDecidedIsNotAskedAgain() throws IOException {
        try (InPlace place = new InPlace(List.of())) {
            Bundle bundle = redacted(bundle(place, "Note: " + ADVICE, "As said: " + ADVICE, "Then: " + ADVICE), place,
                    ADVICE);
            List<Recurrence> open = found(bundle, place).open();
            assertThat(open).extracting(Recurrence::label).containsExactly("4", "5");
            assertThat(open.getFirst()).satisfies(one -> {
                assertThat(one.before()).isEqualTo("As said:");
                assertThat(one.words()).startsWith("We advise the company").endsWith("the hearing.");
                assertThat(one.there()).isEqualTo("3");
            });
            Bundle once = Redacting.redactedLike(bundle, open.getFirst().page(), open.getFirst().areas(), open.getFirst().like());
            assertThat(found(once, place).open()).extracting(Recurrence::label).containsExactly("5");
            assertThat(Redacting.on(once, open.getFirst().page())).extracting("reason").contains("privileged");
            Recurrence left = found(once, place).open().getFirst();
            List<Spared> spared =
                    left.areas().stream().map(area -> new Spared(area, left.words(), "quoted in the order")).toList();
            Bundle twice = Redacting.spared(once, left.page(), spared);
            assertThat(found(twice, place).open()).isEmpty();
            assertThat(found(twice, place).all()).singleElement()
                    .satisfies(one -> assertThat(one.spared().getFirst().reason()).isEqualTo("quoted in the order"));
            Bundle undecided = Redacting.undecided(twice, left.page(), spared);
            assertThat(found(undecided, place).open()).hasSize(1);
            assertThat(inPieces(undecided, place)).singleElement().asString().startsWith("Page 3 of S.pdf says");
            assertThat(inPieces(twice, place)).as("left for a reason in the bundle").isEmpty();
        }
    }

    /** {@return what a batch of the same file would still say} */
    private static List<String> inPieces(Bundle bundle, InPlace place) {
        BundleWords words = new BundleWords(place);
        return PieceLeaks.in(Planner.plan(bundle), words, Redacting.alsoIn(bundle, Batch.of(bundle.sources().getFirst())), words,
                List.of(), () -> false).stream().map(Finding::message).toList();
    }

    @Test
    void nothingIsReadWhereNothingIsRedactedAndPagesWithoutWordsAreCounted() throws IOException {
        try (InPlace place = new InPlace(List.of())) {
            Bundle bundle = bundle(place, "Here Whitlow stood", "", "And Whitlow here");
            assertThat(found(bundle, place)).isEqualTo(Found.NOTHING);
            Found found = found(redacted(bundle, place, "Whitlow"), place);
            assertThat(found.wordless()).isEqualTo(1);
            assertThat(words(found)).containsExactly("Whitlow");
        }
    }

    @Test
    void aNameOutOfALongPassageThatStandsEverywhereIsNoNews() throws IOException {
        String[] pages = new String[12];
        Arrays.fill(pages, "Every page names Kestrel somewhere");
        pages[0] = "In short we told Kestrel and Bramwell nothing at all of that plan";
        pages[11] = "Bramwell is named here and nowhere else";
        try (InPlace place = new InPlace(List.of())) {
            Bundle bundle =
                    redacted(bundle(place, pages), place, "short we told Kestrel and Bramwell nothing at all of that plan");
            assertThat(words(found(bundle, place))).containsExactly("Bramwell");
        }
    }
}
