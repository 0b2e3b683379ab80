package app.yellowtab.sample;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.assemble.Assembler;
import app.yellowtab.assemble.Outcome;
import app.yellowtab.cut.ByHand;
import app.yellowtab.cut.Cutter;
import app.yellowtab.cut.Cutting;
import app.yellowtab.cut.PieceNames;
import app.yellowtab.cut.SheetsToMend;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Progress;
import app.yellowtab.intake.Recognition;
import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.cut.Batch;
import app.yellowtab.model.cut.CutRule;
import app.yellowtab.model.cut.CutRules;
import app.yellowtab.model.cut.NamePart;
import app.yellowtab.model.cut.ValuePlace;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.model.source.SourceKind;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.prove.Prover;
import app.yellowtab.recognise.Languages;
import app.yellowtab.recognise.ProcessRecogniser;
import app.yellowtab.source.BatchPages;
import app.yellowtab.source.Fingerprint;
import app.yellowtab.source.InPlace;
import app.yellowtab.testing.Folder;
import app.yellowtab.testing.Pdfs;
import app.yellowtab.testing.SampleFiles;
import app.yellowtab.words.BatchPage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.EnumSet;
import java.util.List;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The sample matter, brought in and produced from end to end. */
class SampleMatterTests {
    @TempDir
    private static Path temp;
    private static Path files;

    @BeforeAll
    static void write() throws IOException {
        files = SampleFiles.folder();
    }

    private static List<String> fingerprints(Path folder) throws IOException {
        try (Stream<Path> all = Files.walk(folder)) {
            return all.filter(Files::isRegularFile).sorted().map(file -> {
                try {
                    return folder.relativize(file) + " " + Fingerprint.of(file);
                } catch (IOException e) {
                    throw new UncheckedIOException(e);
                }
            }).toList();
        }
    }

    @Test
    void theSameFilesEveryTime() throws IOException {
        Path again = temp.resolve("again");
        SampleMatter.writeFiles(again);
        assertThat(fingerprints(again)).hasSizeGreaterThan(57).isEqualTo(fingerprints(files));
    }

    /** Its first sheets alone: reading all of them takes half a minute. One of them is upside down. */
    @Test
    void theScannedBatchIsCutByWhatIsReadOnItsPages() throws IOException {
        Path batch = Files.createDirectories(temp.resolve("batch"));
        try (PDDocument whole =
                Loader.loadPDF(files.resolve("To be sorted/Invoices and weighbridge slips, October 2030.pdf").toFile());
                PDDocument part = new PDDocument()) {
            assertThat(whole.getNumberOfPages()).isEqualTo(60);
            for (int page = 0; page < 12; page++) part.importPage(whole.getPage(page));
            part.save(batch.resolve("post.pdf").toFile());
        }
        try (InPlace place = new InPlace(List.of());
                ProcessRecogniser engine = new ProcessRecogniser(Languages.ofUser(), List.of(Languages.ENGLISH))) {
            Source source = Folder.bundle(place, batch).sources().getFirst();
            place.know(List.of(source));
            Recognition.Done done = new Recognition(place, place.recognisedFolder().orElseThrow(), engine, 2).read(source.id(),
                    Progress.NONE, () -> false);
            place.know(List.of(source.withAbout(source.about().withRecognised(done.list()))));
            List<BatchPage> pages = BatchPages.read(place, source.id(), false, Progress.NONE, () -> false);
            CutRules rules = new CutRules(List.of(new CutRule.NumberingRestarts(), new CutRule.BlankSheets(true)), 1,
                    List.of(new NamePart.Value(new ValuePlace.AfterWords("Invoice no.", " "))));
            Cutting byNumbers =
                    Cutter.cut(pages, new CutRules(List.of(new CutRule.NumberingRestarts()), 1, List.of()), ByHand.NONE);
            assertThat(byNumbers.pieces()).extracting(Cutting.Piece::pages).containsExactly(List.of(1, 2, 3, 4, 5, 6),
                    List.of(7, 8), List.of(9, 10, 11, 12));
            assertThat(PieceNames.of(pages, byNumbers, rules, "post.pdf", false)).first()
                    .satisfies(named -> assertThat(named.words()).isEqualTo("BC-412"));
            assertThat(pages).extracting(page -> page.state().turns()).as("one sheet is upside down").containsExactly(0, 0, 0, 0,
                    0, 0, 0, 0, 2, 0, 0, 0);
            assertThat(SheetsToMend.of(Batch.of(source), pages, byNumbers).areBacks(12)).isTrue();
            Cutting byLooks = Cutter.cut(pages, new CutRules(List.of(new CutRule.FirstPages(50)), 1, List.of()), ByHand.NONE);
            assertThat(byLooks.pieces()).extracting(Cutting.Piece::pages)
                    .isEqualTo(byNumbers.pieces().stream().map(Cutting.Piece::pages).toList());
        }
    }

    @Test
    void theSmallBatchIsCutAtItsSeparatorSheets() throws IOException {
        Path batch = Files.createDirectories(temp.resolve("separated"));
        Files.copy(files.resolve("To be sorted/Post of the week with separator sheets.pdf"), batch.resolve("post.pdf"));
        try (InPlace place = new InPlace()) {
            SourceId source = Folder.bundle(place, batch).sources().getFirst().id();
            CutRules rules = new CutRules(List.of(new CutRule.SeparatorSheets()), 1, List.of());
            List<BatchPage> pages = BatchPages.read(place, source, true, Progress.NONE, () -> false);
            Cutting cutting = Cutter.cut(pages, rules, ByHand.NONE);
            assertThat(PieceNames.of(pages, cutting, rules, "post.pdf", false))
                    .extracting(named -> named.words() + ", " + named.date().shown() + ", " + named.section()).containsExactly(
                            "Letter of Tarn Hollow Orchards about chamber 3, 14 Oct 2030, Correspondence",
                            "Answer of Brightwick Cold Stores, 16 Oct 2030, Correspondence", "post 003, , ",
                            "Engineer's report on the probe, 18 Oct 2030, Reports");
        }
    }

    @Test
    void producedEveryNumberLinkAndBookmarkIsRight() throws IOException {
        try (InPlace place = new InPlace()) {
            Bundle bundle = SampleMatter.bundle(files, place);
            place.know(bundle.sources());
            assertThat(bundle.tray()).hasSize(35);
            assertThat(EnumSet.complementOf(EnumSet.copyOf(bundle.sources().stream().map(Source::kind).toList())))
                    .containsExactly(SourceKind.WEBP, SourceKind.JP2, SourceKind.DOC, SourceKind.PPT);
            assertThat(bundle.sources().stream().filter(source -> !source.isRead()).map(Source::fileName)).containsExactly(
                    "6 Alarm call to the night desk 2030-10-07.wav", "Camera at the loading bay.mov",
                    "Terms offered, confidential.pdf");
            assertThat(bundle.sources().stream().filter(source -> source.isRead() && source.kind().isOffice())
                    .filter(source -> source.about().pages().searchable().count() < source.pageCount()))
                    .as("office files with a page that says nothing").isEmpty();
            Plan plan = Planner.plan(bundle);
            Path target = temp.resolve("bundle.pdf");
            Outcome outcome = Assembler.standard().assemble(plan, place, target, Progress.NONE, () -> false);
            assertThat(((Outcome.Written) outcome).findings()).extracting(Finding::code).containsExactly(Finding.Code.REDACTED);
            assertThat(Prover.standard().prove(target, Progress.NONE, () -> false).orElseThrow().findings()).isEmpty();
            List<String> pages = Pdfs.pages(target);
            assertThat(pages).hasSize(plan.pageCount()).last().asString().contains("Alarm call to the night desk")
                    .contains("1 min 24 s long");
            assertThat(pages).filteredOn(page -> page.contains("Statement of account") && page.contains("Cider Works"))
                    .singleElement().asString().contains("Account number:").doesNotContain("4482", "School", "Loan");
            assertThat(plan.marking().series()).singleElement()
                    .satisfies(series -> assertThat(series.words().stream().filter(number -> !number.isEmpty()))
                            .startsWith("BC-000101", "BC-000102").doesNotHaveDuplicates());
            assertThat(temp.resolve("bundle files/6 Alarm call to the night desk 2030-10-07.wav"))
                    .hasSameBinaryContentAs(files.resolve("F - Records/6 Alarm call to the night desk 2030-10-07.wav"));
            for (int i = 0; i < pages.size(); i++) assertThat(pages.get(i)).as("page %d", i + 1).matches("(?s)(.* )?" + (i + 1));
            for (Leaf leaf : plan.leaves()) {
                if (leaf.content() instanceof Content.IndexSheet index) {
                    assertThat(Pdfs.linkTargets(target, leaf.index() + 1))
                            .isEqualTo(plan.indexSheets().get(index.sheet()).stream()
                                    .map(row -> row.entry().span().first() + 1).toList());
                }
            }
            assertThat(Pdfs.bookmarks(target).stream().map(b -> b.strip().replaceAll("(.*) > (\\d+)", "$2 $1")).toList())
                    .isEqualTo(plan.bookmarks().stream().map(b -> b.target().leaf() + 1 + " " + b.title()).toList());
            assertThat(pages
                    .get(plan.entries().stream().filter(e -> e.title().equals("Defence")).mapToInt(entry -> entry.span().first())
                            .findFirst().orElseThrow()))
                    .contains("Claim no. AL-2031-00417 Defence");
        }
    }
}
