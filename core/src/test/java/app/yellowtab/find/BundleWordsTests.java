package app.yellowtab.find;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.yellowtab.edit.Edits;
import app.yellowtab.edit.Place;
import app.yellowtab.facts.PageText;
import app.yellowtab.finding.Progress;
import app.yellowtab.intake.FoundFolder;
import app.yellowtab.intake.Intake;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Reading;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.Source;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.source.InPlace;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A bundle of two documents, "letter" with 3 pages and "report" with 2, whose pages say which they are. */
class BundleWordsTests {
    @TempDir
    private Path temp;
    private InPlace place;
    private List<Source> sources;

    @BeforeEach
    void bringIn() throws IOException {
        place = new InPlace(List.of());
        sources = new Intake(place, List.of(), Reading.STANDARD)
                .bringIn(FoundFolder.of(List.of(Pdfs.write(temp, "letter", 3), Pdfs.write(temp, "report", 2)), new ArrayList<>()),
                        Intake.Listener.NONE, () -> false)
                .sources();
        place.know(sources);
    }

    @AfterEach
    void close() throws IOException {
        place.close();
    }

    private Plan plan(PageLook look) {
        Bundle bundle = Edits.addSources(Bundle.EMPTY, sources);
        List<Document> documents = sources.stream().map(source -> Document.of(source)
                .withRuns(List.of(SourcePages.of(source.id(), 1, source.pageCount()).withLook(look)))).toList();
        return Planner.plan(Edits.insertDocuments(bundle, documents, new Place(Optional.empty(), 0)));
    }

    private static List<String> labels(Plan plan, List<BundleWords.Found> found) {
        return found.stream().map(one -> plan.leaf(one.leaf()).label() + "x" + one.hits().size()).toList();
    }

    @Test
    void allPagesAreSearchedInTheirOrder() {
        Plan plan = plan(PageLook.PLAIN);
        List<BundleWords.Found> found = new ArrayList<>();
        List<Integer> progress = new ArrayList<>();
        BundleWords.Searched searched = new BundleWords(place).search(plan, new WordFinder("-2"), found::add,
                (done, total) -> progress.add(done), () -> false);
        assertThat(searched).isEqualTo(new BundleWords.Searched(0, false));
        String first = plan.leaf(plan.pageCount() - 4).label();
        String second = plan.leaf(plan.pageCount() - 1).label();
        assertThat(labels(plan, found)).containsExactly(first + "x1", second + "x1");
        assertThat(progress).hasSize(plan.pageCount()).last().isEqualTo(plan.pageCount());
    }

    @Test
    void whatIsCroppedAwayIsNotFoundAndTheRestStandsWhereItIsSeen() throws IOException {
        PageText plain = new BundleWords(place).of(plan(PageLook.PLAIN).leaf(plan(PageLook.PLAIN).pageCount() - 1));
        PageText.Word word = plain.lines().getFirst().getFirst();
        Plan cropped = plan(PageLook.PLAIN.withCrop(Optional.of(new Area(word.leftMm() - 5, word.topMm() - 7, 40, 40))));
        PageText.Word now = new BundleWords(place).of(cropped.leaf(cropped.pageCount() - 1)).lines().getFirst().getFirst();
        assertThat(now.leftMm()).isCloseTo(5, within(0.1f));
        assertThat(now.topMm()).isCloseTo(7, within(0.1f));
        Plan without = plan(PageLook.PLAIN.withCrop(Optional.of(new Area(word.leftMm() + 60, word.topMm() + 60, 40, 40))));
        assertThat(new BundleWords(place).of(without.leaf(without.pageCount() - 1)).isEmpty()).isTrue();
    }

    @Test
    void aFileThatIsGoneIsCountedAndTheOthersAreSearched() throws IOException {
        Plan plan = plan(PageLook.PLAIN);
        Files.delete(temp.resolve("letter.pdf"));
        List<BundleWords.Found> found = new ArrayList<>();
        assertThat(new BundleWords(place).search(plan, new WordFinder("report"), found::add, Progress.NONE, () -> false).unread())
                .isEqualTo(1);
        assertThat(found).hasSize(2);
    }

    @Test
    void aSearchThatIsStoppedSaysSo() {
        assertThat(new BundleWords(place)
                .search(plan(PageLook.PLAIN), new WordFinder("letter"), one -> {}, Progress.NONE, () -> true).stopped()).isTrue();
    }
}
