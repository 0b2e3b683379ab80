package app.yellowtab.sample;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.assemble.Assembler;
import app.yellowtab.assemble.Outcome;
import app.yellowtab.cut.BatchPage;
import app.yellowtab.cut.ByHand;
import app.yellowtab.cut.Cutter;
import app.yellowtab.cut.Cutting;
import app.yellowtab.cut.PieceNames;
import app.yellowtab.finding.Progress;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.cut.CutRule;
import app.yellowtab.model.cut.CutRules;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.model.source.SourceKind;
import app.yellowtab.plan.Content;
import app.yellowtab.plan.Leaf;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.source.BatchPages;
import app.yellowtab.source.Fingerprint;
import app.yellowtab.source.InPlace;
import app.yellowtab.testing.Folder;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.EnumSet;
import java.util.List;
import java.util.stream.Stream;
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
        files = temp.resolve("matter");
        SampleMatter.writeFiles(files);
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

    @Test
    void theBatchIsCutByWhatItsPagesSay() throws IOException {
        Path batch = Files.createDirectories(temp.resolve("batch"));
        Files.copy(files.resolve("To be sorted/Invoices and weighbridge slips, October 2030.pdf"), batch.resolve("post.pdf"));
        try (InPlace place = new InPlace()) {
            SourceId source = Folder.bundle(place, batch).sources().getFirst().id();
            List<BatchPage> pages = BatchPages.read(place, source, false, Progress.NONE, () -> false);
            assertThat(pages).hasSize(60);
            Cutting byNumbers = Cutter.cut(pages, new CutRules(List.of(new CutRule.NumberingRestarts(), new CutRule.BlankSheets(true)), 1, List.of()), ByHand.NONE);
            Cutting byMarks = Cutter.cut(pages, new CutRules(List.of(new CutRule.Bookmarks(1), new CutRule.BlankSheets(true)), 1, List.of()), ByHand.NONE);
            assertThat(byNumbers.pieces()).hasSizeGreaterThan(25).extracting(Cutting.Piece::pages).isEqualTo(byMarks.pieces().stream().map(Cutting.Piece::pages).toList());
            assertThat(byNumbers.dropped()).hasSizeGreaterThan(4);
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
            assertThat(PieceNames.of(pages, cutting, rules, "post.pdf", false)).extracting(named -> named.words() + ", " + named.date().shown() + ", " + named.section()).containsExactly(
                    "Letter of Tarn Hollow Orchards about chamber 3, 14 Oct 2030, Correspondence", "Answer of Brightwick Cold Stores, 16 Oct 2030, Correspondence", "post 003, , ", "Engineer's report on the probe, 18 Oct 2030, Reports");
        }
    }

    @Test
    void producedEveryNumberLinkAndBookmarkIsRight() throws IOException {
        try (InPlace place = new InPlace()) {
            Bundle bundle = SampleMatter.bundle(files, place);
            place.know(bundle.sources());
            assertThat(bundle.tray()).hasSize(35);
            assertThat(EnumSet.complementOf(EnumSet.copyOf(bundle.sources().stream().map(Source::kind).toList()))).containsExactly(SourceKind.WEBP, SourceKind.JP2, SourceKind.DOC, SourceKind.PPT);
            assertThat(bundle.sources().stream().filter(source -> !source.isRead()).map(Source::fileName)).containsExactly("Camera at the loading bay.mov", "Terms offered, confidential.pdf");
            assertThat(bundle.sources().stream().filter(source -> source.isRead() && source.kind().isOffice()).filter(source -> source.about().pages().searchable().count() < source.pageCount()))
                    .as("office files with a page that says nothing").isEmpty();
            Plan plan = Planner.plan(bundle);
            Path target = temp.resolve("bundle.pdf");
            Outcome outcome = Assembler.standard().assemble(plan, place, target, Progress.NONE, () -> false);
            assertThat(((Outcome.Written) outcome).findings()).isEmpty();
            List<String> pages = Pdfs.pages(target);
            assertThat(pages).hasSize(plan.pageCount());
            for (int i = 0; i < pages.size(); i++) assertThat(pages.get(i)).as("page %d", i + 1).matches("(?s)(.* )?" + (i + 1));
            for (Leaf leaf : plan.leaves()) {
                if (leaf.content() instanceof Content.IndexSheet index) {
                    assertThat(Pdfs.linkTargets(target, leaf.index() + 1)).isEqualTo(plan.indexSheets().get(index.sheet()).stream()
                            .map(row -> row.entry().span().first() + 1).toList());
                }
            }
            assertThat(Pdfs.bookmarks(target).stream().map(b -> b.strip().replaceAll("(.*) > (\\d+)", "$2 $1")).toList())
                    .isEqualTo(plan.bookmarks().stream().map(b -> b.target().leaf() + 1 + " " + b.title()).toList());
            assertThat(pages.get(plan.entries().stream().filter(e -> e.title().equals("Defence")).mapToInt(entry -> entry.span().first())
                    .findFirst().orElseThrow())).contains("Claim no. AL-2031-00417 Defence");
        }
    }
}
