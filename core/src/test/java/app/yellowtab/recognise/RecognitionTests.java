package app.yellowtab.recognise;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.yellowtab.assemble.Outcome;
import app.yellowtab.assemble.PieceWriter;
import app.yellowtab.facts.PageText;
import app.yellowtab.facts.RecognisedPage;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.Progress;
import app.yellowtab.ink.GreyPicture;
import app.yellowtab.intake.FoundFolder;
import app.yellowtab.intake.Intake;
import app.yellowtab.intake.Recognition;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Comments;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.Source;
import app.yellowtab.plan.Plan;
import app.yellowtab.sample.paper.RehearsalScan;
import app.yellowtab.sample.paper.RehearsalScan.Ink;
import app.yellowtab.sample.paper.RehearsalScan.Manner;
import app.yellowtab.sets.PiecePlanner;
import app.yellowtab.source.BatchPages;
import app.yellowtab.source.InPlace;
import app.yellowtab.source.RecognisedPages;
import app.yellowtab.store.BundleFolder;
import app.yellowtab.testing.Folder;
import app.yellowtab.testing.Pdfs;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import java.util.zip.GZIPInputStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.pdfbox.text.TextPosition;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.json.JsonMapper;

/** Scans become searchable: with the engine itself, in its own program. */
class RecognitionTests {
    private static final String SENTENCE = "The chamber was opened on 14 October and the bins were warm";
    private static ProcessRecogniser engine;

    @TempDir
    private Path temp;
    private InPlace place;
    private Path matter;

    @BeforeAll
    static void start() throws IOException {
        engine = new ProcessRecogniser(Languages.ofUser(), List.of(Languages.ENGLISH));
    }

    @AfterAll
    static void stop() {
        engine.close();
    }

    @BeforeEach
    void open() throws IOException {
        place = new InPlace(List.of());
        matter = Files.createDirectories(temp.resolve("matter"));
    }

    @AfterEach
    void close() throws IOException {
        place.close();
    }

    private Source scan(int turn, String... words) throws IOException {
        Path printed = Pdfs.write(temp, "printed", 0, document -> {
            for (String one : words) {
                List<String> lines = one.length() > 70 ? List.of(one.substring(0, 59), one.substring(60)) : List.of(one);
                try (PDPageContentStream content = new PDPageContentStream(document, Pdfs.addPage(document, PDRectangle.A4))) {
                    content.beginText();
                    content.setFont(new PDType1Font(Standard14Fonts.FontName.TIMES_ROMAN), 14);
                    content.newLineAtOffset(72, 700);
                    for (String line : lines) {
                        content.showText(line);
                        content.newLineAtOffset(0, -30);
                    }
                    content.endText();
                } catch (IOException e) {
                    throw new UncheckedIOException(e);
                }
            }
        });
        Path scan = matter.resolve("scan.pdf");
        RehearsalScan.of(printed, scan, new Manner(200, Ink.BLACK_AND_WHITE, 0, false), 5);
        if (turn != 0) {
            try (PDDocument document = Loader.loadPDF(Files.readAllBytes(scan))) {
                for (var page : document.getPages()) page.setRotation(turn);
                document.save(scan.toFile());
            }
        }
        return Folder.bundle(place, matter).sources().getFirst();
    }

    private Recognition.Done recognise(Source source) throws IOException {
        Recognition.Done done = new Recognition(place, place.recognisedFolder().orElseThrow(), engine, 2).read(source.id(),
                Progress.NONE, () -> false);
        place.know(List.of(source.withAbout(source.about().withRecognised(done.list()))));
        return done;
    }

    private Path produce(Source source, List<Finding> findings) throws IOException {
        Path target = temp.resolve("piece-" + System.nanoTime() + ".pdf");
        Document document = Document.of(source);
        Plan plan = PiecePlanner.plan(document, Map.of(source.id(), place.source(source.id())), Comments.KEPT, Integer.MAX_VALUE);
        try (PieceWriter writer = new PieceWriter(place, List.of(plan))) {
            assertThat(writer.write(plan, target, Progress.NONE, () -> false)).isInstanceOf(Outcome.Written.class);
            findings.addAll(writer.findings());
        }
        return target;
    }

    @Test
    void aScanIsReadOnceAndItsWordsGoBehindThePicture() throws IOException {
        Source source = scan(0, SENTENCE, "Exhibit MA3 follows");
        assertThat(RecognisedPages.wanted(source).stream().toArray()).containsExactly(1, 2);
        Recognition.Done done = recognise(source);
        assertThat(done.read()).isEqualTo(2);
        assertThat(done.lost()).isEmpty();
        RecognisedPage first = RecognisedPages.of(place, source.id()).orElseThrow().page(1).orElseThrow();
        assertThat(first.text().text()).isEqualTo(SENTENCE + "\n");
        assertThat(first.certainties()).hasSize(SENTENCE.split(" ").length).allMatch(certainty -> certainty > 60);
        PageText.Word word = first.text().lines().getFirst().getFirst();
        assertThat(word.leftMm()).isCloseTo(25.4f, within(0.6f));
        assertThat(word.topMm() + word.heightMm()).as("its baseline, from the top").isCloseTo((842 - 700) * 25.4f / 72,
                within(0.6f));
        Schema schema = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(Files.readString(Path.of("../docs/recognised.schema.json")));
        try (Stream<Path> files = Files.list(place.recognisedFolder().orElseThrow())) {
            for (Path file : files.filter(one -> one.toString().endsWith(".gz")).toList()) {
                try (InputStream in = new GZIPInputStream(Files.newInputStream(file))) {
                    assertThat(schema.validate(JsonMapper.shared().readTree(in))).as("as it is published").isEmpty();
                }
            }
        }
        assertThat(recognise(source).known()).as("nothing is read twice").isEqualTo(2);
        List<Finding> findings = new ArrayList<>();
        Path produced = produce(source, findings);
        assertThat(findings).isEmpty();
        assertThat(text(produced)).containsExactly(SENTENCE, "Exhibit MA3 follows");
        BufferedImage before = Pdfs.picture(matter.resolve("scan.pdf"), 1, 100);
        BufferedImage after = Pdfs.picture(produced, 1, 100);
        assertThat(IntStream.range(0, before.getHeight())
                .allMatch(y -> IntStream.range(0, before.getWidth()).allMatch(x -> before.getRGB(x, y) == after.getRGB(x, y))))
                .as("not a dot is another").isTrue();
        assertThat(Pdfs.pages(produced)).as("it is the picture that is seen").hasSize(2);
    }

    private static List<String> text(Path file) throws IOException {
        List<String> pages = new ArrayList<>();
        try (PDDocument document = Loader.loadPDF(file.toFile())) {
            for (int page = 1; page <= document.getNumberOfPages(); page++) {
                PDFTextStripper stripper = new PDFTextStripper();
                stripper.setStartPage(page);
                stripper.setEndPage(page);
                pages.add(stripper.getText(document).strip());
            }
        }
        return pages;
    }

    @Test
    void wordsStandWhereTheyAreSeenOnATurnedPage() throws IOException {
        Source source = scan(180, "upside down");
        // Only what is seen upright is read: a page that is shown upside down has no words that make sense, but places are right.
        recognise(source);
        List<float[]> places = new ArrayList<>();
        RecognisedPages.of(place, source.id()).orElseThrow().page(1).orElseThrow().text().lines()
                .forEach(line -> line.forEach(word -> places.add(new float[] {word.leftMm(), word.topMm() + word.heightMm()})));
        assertThat(places).isNotEmpty();
        List<float[]> found = new ArrayList<>();
        try (PDDocument document = Loader.loadPDF(produce(source, new ArrayList<>()).toFile())) {
            new PDFTextStripper() {
                @Override
                protected void writeString(String words, List<TextPosition> letters) {
                    found.add(new float[] {letters.getFirst().getXDirAdj() * 25.4f / 72,
                            letters.getFirst().getYDirAdj() * 25.4f / 72});
                }
            }.getText(document);
        }
        assertThat(found.getFirst()[0]).isCloseTo(places.getFirst()[0], within(1f));
        assertThat(found.getFirst()[1]).isCloseTo(places.getFirst()[1], within(2.5f));
    }

    @Test
    void wordsOfAPageThatIsTurnedStandUprightInTheProducedFile() throws IOException {
        Source source = scan(180, SENTENCE + " " + SENTENCE.replace("chamber", "store"));
        recognise(source);
        RecognisedPage read = RecognisedPages.of(place, source.id()).orElseThrow().page(1).orElseThrow();
        assertThat(read.state().turns()).isEqualTo(2);
        List<Float> directions = new ArrayList<>();
        Path target = temp.resolve("turned.pdf");
        Document document = Document.of(source);
        Document turned = document.withRuns(
                document.runs().stream().map(run -> (Run) ((SourcePages) run).withLook(PageLook.PLAIN.withTurns(2))).toList());
        Plan plan = PiecePlanner.plan(turned, Map.of(source.id(), place.source(source.id())), Comments.KEPT, Integer.MAX_VALUE);
        try (PieceWriter writer = new PieceWriter(place, List.of(plan))) {
            writer.write(plan, target, Progress.NONE, () -> false);
        }
        try (PDDocument produced = Loader.loadPDF(target.toFile())) {
            new PDFTextStripper() {
                @Override
                protected void writeString(String words, List<TextPosition> letters) {
                    letters.forEach(letter -> directions.add(letter.getDir()));
                }
            }.getText(produced);
        }
        assertThat(directions).isNotEmpty().containsOnly(0f);
        assertThat(text(target).getFirst()).startsWith("The chamber was opened");
    }

    @Test
    void eachHalfOfADividedSheetHasItsOwnWordsAlone() throws IOException {
        Source source = scan(0, SENTENCE);
        recognise(source);
        PageLook left = PageLook.PLAIN.withCrop(Optional.of(new Area(0, 0, 80, 297)));
        PageLook right = PageLook.PLAIN.withCrop(Optional.of(new Area(80, 0, 130, 297)));
        Document halves = Document.of(source).withRuns(
                List.of(SourcePages.of(source.id(), 1, 1).withLook(left), SourcePages.of(source.id(), 1, 1).withLook(right)));
        Path target = temp.resolve("halves.pdf");
        try (PieceWriter writer = new PieceWriter(place,
                List.of(PiecePlanner.plan(halves, Map.of(source.id(), place.source(source.id())), Comments.KEPT, 1)))) {
            writer.write(PiecePlanner.plan(halves, Map.of(source.id(), place.source(source.id())), Comments.KEPT, 1), target,
                    Progress.NONE, () -> false);
        }
        List<String> words = text(target).stream().flatMap(page -> Stream.of(page.strip().split("\\s+"))).sorted().toList();
        assertThat(words).isEqualTo(
                Stream.of(text(produce(source, new ArrayList<>())).getFirst().strip().split("\\s+")).sorted().toList());
        assertThat(text(target)).allSatisfy(page -> assertThat(page).isNotBlank());
        assertThat(text(target).getFirst()).startsWith("The chamber");
    }

    @Test
    void batchesAreCutByWhatWasRead() throws IOException {
        Source source = scan(0, "Invoice 2207", "");
        recognise(source);
        assertThat(BatchPages.read(place, source.id(), false, Progress.NONE, () -> false)).extracting(page -> page.text().text())
                .containsExactly("Invoice 2207\n", "");
    }

    @Test
    void wordsStayInTheBundleFolderAsLongAsThereIsSuchAPage() throws IOException {
        scan(0, "Invoice 2207");
        Path folder = temp.resolve("bundle");
        Path junk = folder.resolve("recognised/0123456789abcdef-0123456789abcdef.json.gz");
        try (BundleFolder made = BundleFolder.create(folder, Bundle.EMPTY)) {
            Source source = new Intake(made).bringIn(FoundFolder.of(List.of(matter.resolve("scan.pdf")), new ArrayList<>()),
                    Intake.Listener.NONE, () -> false).sources().getFirst();
            made.know(List.of(source));
            Recognition recognition = new Recognition(made, made.recognisedFolder().orElseThrow(), engine, 1);
            Recognition.Done done = recognition.read(source.id(), Progress.NONE, () -> false);
            made.save(Bundle.EMPTY.withSources(List.of(recognition.lesson(source.id(), done, false).apply(source))));
            Files.writeString(junk, "of a page that is gone");
        }
        BundleFolder.Opened opened = BundleFolder.open(folder);
        try (BundleFolder again = opened.folder()) {
            assertThat(junk).doesNotExist();
            assertThat(RecognisedPages.of(again, opened.bundle().sources().getFirst().id()).orElseThrow().page(1)).isPresent();
            again.save(Bundle.EMPTY);
        }
        BundleFolder.open(folder).folder().close();
        BundleFolder.open(folder).folder().close();
        try (Stream<Path> left = Files.list(folder.resolve("recognised"))) {
            assertThat(left).as("of no page any more").isEmpty();
        }
    }

    @Test
    void wordsThatAreGoneAreSaid() throws IOException {
        Source source = scan(0, "Invoice 2207");
        recognise(source);
        try (Stream<Path> files = Files.list(place.recognisedFolder().orElseThrow())) {
            for (Path file : files.filter(one -> one.toString().endsWith(".gz")).toList()) Files.writeString(file, "damaged");
        }
        List<Finding> findings = new ArrayList<>();
        assertThat(Pdfs.pageCount(produce(source, findings))).isEqualTo(1);
        assertThat(findings).extracting(Finding::code).containsExactly(Code.WORDS_GONE);
        assertThat(recognise(source).read()).as("and read anew").isEqualTo(1);
    }

    @Test
    void aPageThatTakesTooLongIsGivenUpAndTheNextIsRead() throws IOException {
        GreyPicture picture = GreyPicture.of(new BufferedImage(300, 200, BufferedImage.TYPE_BYTE_GRAY), 200);
        try (ProcessRecogniser hasty =
                new ProcessRecogniser(Languages.ofUser(), List.of(Languages.ENGLISH), Duration.ofMillis(1))) {
            assertThatThrownBy(() -> hasty.read(GreyPicture.of(Pdfs.picture(Pdfs.write(temp, "long", 1), 1, 300), 300)))
                    .hasMessageContaining("longer than 0 seconds");
        }
        assertThat(engine.read(picture)).isEmpty();
        assertThat(engine.read(GreyPicture.of(new BufferedImage(1, 1, BufferedImage.TYPE_BYTE_GRAY), 200))).as("a single dot")
                .isEmpty();
    }

    @Test
    void aLanguageThatIsNoneIsRefusedAndOthersAreOffered() throws IOException {
        Path own = Files.createDirectories(temp.resolve("languages"));
        Files.write(own.resolve("deu.traineddata"), new byte[20_000]);
        Files.writeString(own.resolve("notes.txt"), "mine");
        Languages languages = new Languages(own, temp.resolve("cache"));
        assertThat(languages.codes()).containsExactly("eng", "deu");
        assertThat(Languages.named("deu")).isEqualTo("German");
        assertThatThrownBy(() -> new ProcessRecogniser(languages, List.of("deu"))).isInstanceOf(IOException.class);
        assertThatThrownBy(() -> new ProcessRecogniser(languages, List.of("fra")))
                .hasMessageContaining("There is no file fra.traineddata");
    }
}
