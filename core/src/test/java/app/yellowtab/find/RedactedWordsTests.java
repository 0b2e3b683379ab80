package app.yellowtab.find;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.edit.Edits;
import app.yellowtab.edit.Enclosing;
import app.yellowtab.edit.page.PageEdits;
import app.yellowtab.edit.page.PageSpot;
import app.yellowtab.edit.page.Redacting;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.Redaction;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.run.RunId;
import app.yellowtab.model.source.Source;
import app.yellowtab.plan.Planner;
import app.yellowtab.source.InPlace;
import app.yellowtab.source.RecognisedPages;
import app.yellowtab.testing.Folder;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.destination.PDPageFitDestination;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDDocumentOutline;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDOutlineItem;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RedactedWordsTests {
    private static final Area OVER = new Area(38, 40, 120, 14);
    @TempDir
    private Path folder;

    @ParameterizedTest
    @CsvSource({
            "Letter to Quillfeather Mills, letter to Quillfeather,[redacted] Mills",
            "Account 4471-22 of the company, the account 4471-22 is with the branch at Aldermere, [redacted] of the company",
            "The store agreement, of the store and its many doors and of the agreement there,",
            "Invoice 12, the invoice,[redacted] 12",
            "A view of it, of it,",
    })
    void whatATitleRepeatsIsLeftOutWhereItTellsSomething(String title, String redacted, String clean) {
        assertThat(RedactedWords.repeated(title, new PassageFinder(List.of(new Passage(new PageKey(RunId.fresh(), 1), "1",
                new Redaction(OVER, "", false), List.of(redacted.split(" "))))), (all, hit) -> true))
                .isEqualTo(Optional.ofNullable(clean));
    }

    private static List<RedactedWords.Leak> open(Bundle bundle, InPlace place) {
        return RedactedWords.in(bundle, Planner.plan(bundle), new BundleWords(place), () -> false).open();
    }

    @Test
    void theSamePageInAnotherFileIsFoundAndMended() throws IOException {
        Path first = Pdfs.write(folder, "S", 2);
        Files.copy(first, folder.resolve("T.pdf"));
        try (InPlace place = new InPlace(List.of())) {
            Bundle bundle = Folder.bundle(place, folder);
            PageKey page = bundle.contents().documents().getFirst().runs().getFirst().key(1);
            Bundle redacted = Redacting.redacted(bundle, page, List.of(OVER), "privileged", false);
            List<RedactedWords.Leak> leaks = open(redacted, place);
            assertThat(leaks).singleElement()
                    .satisfies(leak -> assertThat(leak.finding().message()).contains("Page 5 shows the same page as page 3"));
            Bundle mended = leaks.getFirst().fix().orElseThrow().apply(redacted);
            assertThat(open(mended, place)).isEmpty();
            var facts = bundle.sources().getFirst().about().pages();
            assertThat(List.of(facts.likePrint(1).orElseThrow(), facts.likePrint(2).orElseThrow())).doesNotHaveDuplicates()
                    .allMatch(print -> RecognisedPages.prints(bundle.sources().getFirst()).contains(print));
            assertThat(facts.print(3)).isEmpty();
        }
    }

    @Test
    void aFileThatGoesAlongAndCannotBeLookedThroughIsNamed() throws IOException {
        Pdfs.write(folder, "S", 2);
        Path along = Pdfs.write(folder, "T", 1);
        try (InPlace place = new InPlace(List.of())) {
            Bundle bundle = Folder.bundle(place, folder);
            List<Document> documents = bundle.contents().documents();
            PageKey page = documents.getFirst().runs().getFirst().key(1);
            Bundle redacted = Enclosing.enclose(
                    Redacting.redacted(bundle, page, List.of(new Area(10, 10, 190, 270)), "privileged", false),
                    documents.get(1).id(), false);
            Files.delete(along);
            assertThat(RedactedWords.in(redacted, Planner.plan(redacted), new BundleWords(place), () -> false).remarks())
                    .filteredOn(finding -> finding.code() == Code.REDACTED_NOT_LOOKED).singleElement()
                    .satisfies(
                            finding -> assertThat(finding.message()).startsWith("T: the file that goes along could not be read"));
        }
    }

    @Test
    void titlesBookmarksAndTheSamePageElsewhereAreFoundAndMended() throws IOException {
        Pdfs.write(folder, "S", 2, document -> {
            try (PDPageContentStream content = new PDPageContentStream(document, document.getPage(0))) {
                content.beginText();
                content.setFont(new PDType1Font(Standard14Fonts.FontName.HELVETICA), 12);
                content.newLineAtOffset(113, 700);
                content.showText("Quillfeather");
                content.endText();
            } catch (IOException e) {
                throw new IllegalStateException(e);
            }
            PDDocumentOutline outline = new PDDocumentOutline();
            PDOutlineItem item = new PDOutlineItem();
            item.setTitle("What Quillfeather said");
            PDPageFitDestination to = new PDPageFitDestination();
            to.setPage(document.getPage(1));
            item.setDestination(to);
            outline.addLast(item);
            document.getDocumentCatalog().setDocumentOutline(outline);
        });
        try (InPlace place = new InPlace(List.of())) {
            Bundle bundle = Folder.bundle(place, folder);
            Document document = bundle.contents().documents().getFirst();
            PageKey page = document.runs().getFirst().key(1);
            bundle = Edits.changeDocument(bundle, document.id(), its -> its.withTitle("Letter of Quillfeather"));
            bundle = PageEdits.copied(bundle, Set.of(page), new PageSpot(document.id(), Optional.empty()));
            Bundle redacted = Redacting.redacted(bundle, page, List.of(OVER), "privileged", false);
            List<RedactedWords.Leak> leaks = open(redacted, place);
            assertThat(leaks).extracting(leak -> leak.finding().code()).containsExactlyInAnyOrder(Code.REDACTED_ELSEWHERE,
                    Code.REDACTED_AROUND, Code.REDACTED_IN_BOOKMARK);
            Bundle mended = redacted;
            for (RedactedWords.Leak leak : leaks) mended = leak.fix().orElseThrow().apply(mended);
            assertThat(open(mended, place)).isEmpty();
            assertThat(mended.contents().documents().getFirst().title()).isEqualTo("Letter of [redacted]");
            assertThat(mended.sources()).flatExtracting(Source::bookmarks).extracting("title")
                    .containsExactly("What [redacted] said");
            assertThat(Redacting.on(mended, mended.contents().documents().getFirst().runs().getLast().key(1))).hasSize(1);
        }
    }
}
