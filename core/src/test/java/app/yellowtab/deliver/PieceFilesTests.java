package app.yellowtab.deliver;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.yellowtab.cut.ByHand;
import app.yellowtab.cut.Cutter;
import app.yellowtab.cut.Cutting;
import app.yellowtab.cut.PieceNames;
import app.yellowtab.edit.Edits;
import app.yellowtab.edit.page.Redacting;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Progress;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Comments;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.cut.Batch;
import app.yellowtab.model.cut.CutRule;
import app.yellowtab.model.cut.CutRules;
import app.yellowtab.model.cut.NamePart;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.page.Redaction;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.Source;
import app.yellowtab.source.BatchPages;
import app.yellowtab.source.InPlace;
import app.yellowtab.testing.Folder;
import app.yellowtab.testing.Pdfs;
import app.yellowtab.words.BatchPage;
import app.yellowtab.words.PageWeight;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.internet.MimeMultipart;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.image.LosslessFactory;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationLink;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.destination.PDPageFitDestination;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDDocumentOutline;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDOutlineItem;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A batch on the disk becomes files on the disk. */
class PieceFilesTests {
    @TempDir
    private Path temp;
    private Path matter;
    private Path folder;
    private InPlace place;
    private Wanted wanted = Wanted.FILES;

    @BeforeEach
    void begin() throws IOException {
        matter = Files.createDirectories(temp.resolve("matter"));
        folder = temp.resolve("out").resolve("post");
        place = new InPlace();
    }

    @AfterEach
    void end() throws IOException {
        place.close();
    }

    /**
     * A batch of five pages "post-1" to "post-5"; bookmarks "One" on 1, "Part" in it on 2, "Two" on 3; links from 1 to 2 and to
     * 4.
     */
    private void batch() throws IOException {
        Pdfs.write(matter, "post", 5, document -> {
            PDDocumentOutline outline = new PDDocumentOutline();
            document.getDocumentCatalog().setDocumentOutline(outline);
            PDOutlineItem one = bookmark("One", document.getPage(0));
            one.addLast(bookmark("Part", document.getPage(1)));
            outline.addLast(one);
            outline.addLast(bookmark("Two", document.getPage(2)));
            document.getPage(0).setAnnotations(List.of(link(document.getPage(1)), link(document.getPage(3))));
        });
    }

    private static PDOutlineItem bookmark(String title, PDPage page) {
        PDOutlineItem item = new PDOutlineItem();
        item.setTitle(title);
        item.setDestination(page);
        return item;
    }

    private static PDAnnotationLink link(PDPage page) {
        PDAnnotationLink link = new PDAnnotationLink();
        PDPageFitDestination there = new PDPageFitDestination();
        there.setPage(page);
        link.setDestination(there);
        link.setRectangle(new PDRectangle(10, 10, 50, 50));
        return link;
    }

    private PieceFiles pieces(CutRules rules, ByHand hand) throws IOException {
        Source batch = Folder.bundle(place, matter).sources().getFirst();
        List<BatchPage> pages = BatchPages.read(place, batch.id(), false, Progress.NONE, () -> false);
        Cutting cutting = Cutter.cut(pages, rules, hand);
        return new PieceFiles(place,
                new CutReport(List.of(batch), Batch.of(batch), cutting,
                        PieceNames.of(pages, cutting, rules, batch.fileName(), false), List.of(), List.of()),
                pages, Comments.KEPT, wanted);
    }

    private List<String> names() throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            return files.map(file -> String.valueOf(file.getFileName())).sorted().toList();
        }
    }

    @Test
    void eachPieceIsAFileWithItsBookmarksAndLinksAndNothingOfTheOthers() throws IOException {
        batch();
        PieceFiles.Written written =
                pieces(new CutRules(List.of(new CutRule.Bookmarks(1)), 1, List.of()), new ByHand(Map.of(), Map.of(5, true)))
                        .write(folder, Progress.NONE, () -> false);
        assertThat(names()).containsExactly("One.pdf", "Two.pdf", "cuts.csv");
        assertThat(written.isWhole()).isTrue();
        Path one = folder.resolve("One.pdf");
        assertThat(Pdfs.pages(one)).containsExactly("post-1", "post-2");
        assertThat(Pdfs.pages(folder.resolve("Two.pdf"))).containsExactly("post-3", "post-4");
        assertThat(Pdfs.bookmarks(one)).containsExactly("One > 1", "  Part > 2");
        assertThat(Pdfs.linkTargets(one, 1)).as("the link that leads out is taken off").containsExactly(2);
        assertThat(written.findings()).extracting(Finding::code).containsExactly(Code.LINK_DROPPED);
        assertNothingOf(folder.resolve("Two.pdf"), "post-1", "post-2", "post-5", "One", "Part");
        try (PDDocument document = Loader.loadPDF(one.toFile())) {
            assertThat(document.getDocumentInformation().getTitle()).isEqualTo("One");
            assertThat(document.getDocumentCatalog().getPageLabels()).as("a viewer counts from 1").isNull();
        }
        assertThat(Files.readAllLines(folder.resolve("cuts.csv")).stream().map(line -> line.replaceAll(",\\d{3,},", ",N,")))
                .containsExactly("batch,piece,pages,page count,title,date,document in,file,renamed,e-mail,bytes,cut because",
                        "post.pdf,1,1-2,2,One,,,One.pdf,,,N,bookmark “One”", "post.pdf,2,3-4,2,Two,,,Two.pdf,,,N,bookmark “Two”",
                        "post.pdf,,5,1,,,,,,,,dropped: by hand");
    }

    private static void assertNothingOf(Path file, String... words) throws IOException {
        try (PDDocument document = Loader.loadPDF(file.toFile())) {
            for (var key : document.getDocument().getXrefTable().keySet()) {
                var object = document.getDocument().getObjectFromPool(key).getObject();
                String all = String.valueOf(object);
                if (object instanceof COSStream stream)
                    all += new String(stream.createInputStream().readAllBytes(), StandardCharsets.ISO_8859_1);
                assertThat(all).doesNotContain(words);
            }
        }
    }

    @Test
    void whatIsRedactedAndWithheldInTheBundleIsSoInThePieces() throws IOException {
        batch();
        Bundle bundle = Folder.bundle(place, matter);
        Document document = bundle.contents().documents().getFirst();
        SourcePages pages = (SourcePages) document.runs().getFirst();
        PageLook black = PageLook.PLAIN.withRedactions(List.of(new Redaction(new Area(0, 0, 210, 297), "", false)));
        PageLook held = PageLook.PLAIN.withWithheld(Optional.of("Without prejudice"));
        Bundle hiding = Edits.changeDocument(bundle, document.id(), its -> its.withRuns(
                List.of(pages.part(1, 1), pages.part(2, 2).withLook(black), pages.part(3, 3).withLook(held), pages.part(4, 5))));
        Source source = bundle.sources().getFirst();
        List<BatchPage> read = BatchPages.read(place, source.id(), false, Progress.NONE, () -> false);
        CutRules rules = new CutRules(List.of(new CutRule.EveryPages(5, 1)), 1, List.of());
        Cutting cutting = Cutter.cut(read, rules, ByHand.NONE);
        PieceFiles.Written written = new PieceFiles(place,
                new CutReport(List.of(source), Redacting.alsoIn(hiding, Batch.of(source)), cutting,
                        PieceNames.of(read, cutting, rules, "post.pdf", false), List.of(), List.of()),
                read, Comments.KEPT, wanted).write(folder, Progress.NONE, () -> false);
        Path piece = folder.resolve("post 001.pdf");
        assertThat(Pdfs.pages(piece)).satisfiesExactly(one -> assertThat(one).isEqualTo("post-1"),
                two -> assertThat(two).isEmpty(), three -> assertThat(three).contains("Without prejudice"),
                four -> assertThat(four).isEqualTo("post-4"), five -> assertThat(five).isEqualTo("post-5"));
        assertNothingOf(piece, "post-2", "post-3");
        assertThat(written.findings()).extracting(Finding::code).contains(Code.REDACTED);
    }

    @Test
    void piecesOutOfOrderAndNamesThatAreAlike() throws IOException {
        batch();
        PieceFiles.Written written = pieces(
                new CutRules(List.of(new CutRule.Ranges("4-5, 2, 1-2", false)), 1, List.of(new NamePart.Typed("a/b\u9910"))),
                ByHand.NONE).write(folder, Progress.NONE, () -> false);
        assertThat(names()).containsExactly("a b\u9910 (2).pdf", "a b\u9910 (3).pdf", "a b\u9910.pdf", "cuts.csv");
        assertThat(written.findings()).extracting(Finding::code).as("its letters stand on no page of ours")
                .doesNotContain(Code.CHARACTERS_NOT_SHOWN);
        assertThat(Pdfs.pages(folder.resolve("a b\u9910.pdf"))).containsExactly("post-4", "post-5");
        assertThat(Pdfs.pages(folder.resolve("a b\u9910 (2).pdf"))).containsExactly("post-2");
        assertThat(Pdfs.pages(folder.resolve("a b\u9910 (3).pdf"))).containsExactly("post-1", "post-2");
        assertThat(Pdfs.bookmarks(folder.resolve("a b\u9910 (2).pdf"))).as("one that is deeper stands at the top there")
                .containsExactly("Part > 1");
    }

    @Test
    void piecesAreAsLargeAsTheyMayBe() throws IOException {
        Random noise = new Random(3);
        Pdfs.write(matter, "post", 12, document -> {
            PDImageXObject shared = picture(document, noise, 120);
            for (int i = 0; i < 12; i++) draw(document, i, List.of(shared, picture(document, noise, 40 + 10 * (i % 3))));
        });
        Source batch = Folder.bundle(place, matter).sources().getFirst();
        List<PageWeight> weights = PieceSizes.read(place, batch.id(), Comments.KEPT, Progress.NONE, () -> false);
        List<BatchPage> pages = new ArrayList<>(BatchPages.read(place, batch.id(), false, Progress.NONE, () -> false));
        for (int i = 0; i < 12; i++) pages.set(i, pages.get(i).withWeight(weights.get(i)));
        CutRules rules = new CutRules(List.of(new CutRule.UpTo(25_000)), 1, List.of());
        Cutting cutting = Cutter.cut(pages, rules, ByHand.NONE);
        assertThat(cutting.pieces()).hasSizeBetween(3, 7);
        PieceFiles.Written written =
                new PieceFiles(place,
                        new CutReport(List.of(batch), Batch.of(batch), cutting,
                                PieceNames.of(pages, cutting, rules, "post.pdf", false), List.of(), List.of()),
                        pages, Comments.KEPT, Wanted.FILES).write(folder, Progress.NONE, () -> false);
        for (int i = 0; i < cutting.pieces().size(); i++) {
            PageWeight.Sum sum = new PageWeight.Sum();
            cutting.pieces().get(i).pages().forEach(page -> sum.add(weights.get(page - 1)));
            assertThat(written.report().made().get(i).bytes()).as("measured before")
                    .isBetween(sum.bytes() - 2_500 - 250L * cutting.pieces().get(i).pages().size(), sum.bytes())
                    .isLessThanOrEqualTo(25_000);
        }
    }

    private static PDImageXObject picture(PDDocument document, Random noise, int side) {
        BufferedImage picture = new BufferedImage(side, side, BufferedImage.TYPE_BYTE_GRAY);
        for (int x = 0; x < side; x++) for (int y = 0; y < side; y++) picture.getRaster().setSample(x, y, 0, noise.nextInt(256));
        try {
            return LosslessFactory.createFromImage(document, picture);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void draw(PDDocument document, int page, List<PDImageXObject> pictures) {
        try (PDPageContentStream content = new PDPageContentStream(document, document.getPage(page))) {
            for (PDImageXObject picture : pictures) content.drawImage(picture, 50, 50);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Test
    void aBatchOfManyPiecesIsOpenedOnceAndCheckedOnce() throws IOException {
        Pdfs.write(matter, "post", 30);
        pieces(new CutRules(List.of(new CutRule.EveryPages(1, 1)), 1, List.of()), ByHand.NONE).write(folder, Progress.NONE,
                () -> false);
        assertThat(names()).hasSize(31).contains("post 001.pdf", "post 030.pdf");
        assertThat(Pdfs.pages(folder.resolve("post 030.pdf"))).containsExactly("post-30");
    }

    @Test
    void nothingIsWrittenOverAndAStopLeavesWhatIsWhole() throws IOException {
        batch();
        Files.createDirectories(folder);
        Files.writeString(folder.resolve("mine.txt"), "mine");
        PieceFiles pieces = pieces(new CutRules(List.of(new CutRule.EveryPages(2, 1)), 1, List.of()), ByHand.NONE);
        assertThatThrownBy(() -> pieces.write(folder, Progress.NONE, () -> false)).isInstanceOf(FindingException.class)
                .hasMessageContaining("there are files in it already");
        assertThat(names()).containsExactly("mine.txt");
        Files.delete(folder.resolve("mine.txt"));
        int[] seen = {0};
        PieceFiles.Written written = pieces.write(folder, (done, total) -> seen[0] = done, () -> seen[0] >= 2);
        assertThat(written.isWhole()).isFalse();
        assertThat(names()).containsExactly("cuts.csv", "post 001.pdf");
        assertThat(Files.readAllLines(folder.resolve("cuts.csv"))).hasSize(4).last().asString().as("not written")
                .contains("post 003,,,,,,,every 2 pages");
    }

    @Test
    void eachPieceIsAttachedToADraftOfItsOwn() throws Exception {
        batch();
        wanted = new Wanted(false,
                Optional.of(new Wanted.Mails(true, "clerk@orchard.example", "Bundle: [name]", "[name] of [pages], [date].")));
        PieceFiles.Written written = pieces(new CutRules(List.of(new CutRule.Bookmarks(1)), 1,
                List.of(new NamePart.Bookmark(), new NamePart.Typed("für Ödön: 1/2"))), ByHand.NONE)
                .write(folder, Progress.NONE, () -> false);
        assertThat(names()).containsExactly("One für Ödön 1 2.eml", "Two für Ödön 1 2.eml", "cuts.csv");
        assertThat(written.report().table()).contains("One für Ödön: 1/2,,,,,One für Ödön 1 2.eml,");
        MimeMessage mail = mail("One für Ödön 1 2.eml");
        assertThat(mail.getSubject()).isEqualTo("Bundle: One für Ödön: 1/2");
        assertThat(mail.getHeader("To", null)).isEqualTo("clerk@orchard.example");
        assertThat(mail.getHeader("X-Unsent", null)).isEqualTo("1");
        assertThat(mail.getMessageID()).isNull();
        MimeMultipart parts = (MimeMultipart) mail.getContent();
        assertThat(parts.getBodyPart(0).getContent()).isEqualTo("One für Ödön: 1/2 of 2 pages, .");
        assertThat(parts.getBodyPart(1).getFileName()).isEqualTo("One für Ödön 1 2.pdf");
        Path attached = temp.resolve("attached.pdf");
        Files.write(attached, parts.getBodyPart(1).getInputStream().readAllBytes());
        assertThat(Pdfs.pages(attached)).containsExactly("post-1", "post-2");
    }

    @Test
    void oneDraftHasAllPiecesBesideTheFiles() throws Exception {
        batch();
        wanted = new Wanted(true, Optional.of(Wanted.Mails.usual(false)));
        pieces(new CutRules(List.of(new CutRule.Bookmarks(1)), 1, List.of()), ByHand.NONE).write(folder, Progress.NONE,
                () -> false);
        assertThat(names()).containsExactly("All of post.pdf.eml", "One.pdf", "Two.pdf", "cuts.csv");
        MimeMessage mail = mail("All of post.pdf.eml");
        assertThat(mail.getSubject()).isEqualTo("post.pdf: 2 documents");
        MimeMultipart parts = (MimeMultipart) mail.getContent();
        assertThat(parts.getCount()).isEqualTo(3);
        assertThat(parts.getBodyPart(2).getFileName()).isEqualTo("Two.pdf");
        assertThat(parts.getBodyPart(0).getContent()).isEqualTo("Attached: post.pdf: 2 documents, 5 pages.");
    }

    @Test
    void mailsSayWhatNamesMayBeMadeOf() throws Exception {
        batch();
        wanted = new Wanted(false, Optional
                .of(new Wanted.Mails(true, "", "[number:3] [bookmark] of [file] [sic]", "[after:nothing]Page: [after:post-]")));
        pieces(new CutRules(List.of(new CutRule.Bookmarks(1)), 1, List.of(new NamePart.Bookmark())), ByHand.NONE).write(folder,
                Progress.NONE, () -> false);
        assertThat(mail("Two.eml").getSubject()).isEqualTo("002 Two of post [sic]");
        assertThat(((MimeMultipart) mail("Two.eml").getContent()).getBodyPart(0).getContent()).isEqualTo("Page: 3");
    }

    @Test
    void oneMailListsTheValuesOfAllPieces() throws Exception {
        batch();
        wanted = new Wanted(false, Optional.of(new Wanted.Mails(false, "", "[bookmark]", "[pages], first [after:post-]")));
        pieces(new CutRules(List.of(new CutRule.Bookmarks(1)), 1, List.of()), ByHand.NONE).write(folder, Progress.NONE,
                () -> false);
        MimeMessage mail = mail("All of post.pdf.eml");
        assertThat(mail.getSubject()).isEqualTo("One, Two");
        assertThat(((MimeMultipart) mail.getContent()).getBodyPart(0).getContent()).isEqualTo("5 pages, first 1, 3");
    }

    @Test
    void anAddressThatIsNoneIsRefused() {
        assertThatThrownBy(() -> new Wanted.Mails(true, "clerk at orchard", "", ""))
                .hasMessageContaining("“clerk at orchard” is no e-mail address");
    }

    private MimeMessage mail(String name) throws Exception {
        try (InputStream in = Files.newInputStream(folder.resolve(name))) {
            return new MimeMessage(null, in);
        }
    }

    private static void put(Path file, String words) {
        try {
            Files.writeString(file, words);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Test
    void afterAPieceThatCannotBeWrittenNoOtherIsBegun() throws IOException {
        Pdfs.write(matter, "post", 40);
        PieceFiles pieces = pieces(new CutRules(List.of(new CutRule.EveryPages(1, 1)), 1, List.of()), ByHand.NONE);
        assertThatThrownBy(() -> pieces.write(folder, (done, total) -> {
            if (done == 5) put(folder.resolve("post 010.pdf"), "somebody else's");
        }, () -> false)).isInstanceOf(FindingException.class).hasMessageContaining("post 010.pdf")
                .hasMessageContaining("there is such a file already");
        assertThat(names()).as("what was under way was ended").hasSizeLessThan(30).doesNotContain("post 040.pdf");
        assertThat(Files.readString(folder.resolve("post 010.pdf"))).isEqualTo("somebody else's");
    }

    @Test
    void aBatchThatHasGoneSaysSo() throws IOException {
        batch();
        PieceFiles pieces = pieces(new CutRules(List.of(new CutRule.EveryPages(2, 1)), 1, List.of()), ByHand.NONE);
        Files.delete(matter.resolve("post.pdf"));
        assertThatThrownBy(() -> pieces.write(folder, Progress.NONE, () -> false)).isInstanceOf(FindingException.class)
                .hasMessageContaining("post.pdf is no longer where it was");
        assertThat(names()).as("no half file").containsExactly("cuts.csv");
    }
}
