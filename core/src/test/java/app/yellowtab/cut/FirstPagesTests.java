package app.yellowtab.cut;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.finding.Progress;
import app.yellowtab.intake.FoundFolder;
import app.yellowtab.intake.Intake;
import app.yellowtab.model.Reading;
import app.yellowtab.model.cut.CutRule;
import app.yellowtab.model.cut.CutRules;
import app.yellowtab.model.source.Source;
import app.yellowtab.sample.paper.RehearsalPost;
import app.yellowtab.source.BatchPages;
import app.yellowtab.source.InPlace;
import app.yellowtab.words.BatchPage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Which pages look like the first of a document. */
class FirstPagesTests {
    private static final CutRules RULE = new CutRules(List.of(new CutRule.FirstPages(50)), 1, List.of());
    @TempDir
    private Path temp;

    private static String cut(BatchPage... pages) {
        return Pages.shown(Cutter.cut(List.of(pages), RULE, ByHand.NONE));
    }

    private static BatchPage full(String first) {
        List<String> lines = new ArrayList<>(List.of(first));
        for (int i = 0; i < 26; i++) lines.add("and so it went on all through the night of the failure");
        return Pages.page(lines.toArray(String[]::new));
    }

    @Test
    void lettersBeginWithDateAndSalutation() {
        BatchPage letter = Pages.page("Carrow & Dunnock Solicitors", "4 March 2031", "Dear Ms Fennick",
                "We refer to our letter of last week.");
        Cutting cutting = Cutter.cut(List.of(full("he said so"), letter), RULE, ByHand.NONE);
        assertThat(Pages.shown(cutting)).isEqualTo("1 2");
        assertThat(cutting.pieces().getLast().reasons().getFirst().words()).contains("date and salutation").contains("sure to ");
    }

    @Test
    void printedEmailsBeginWithTheirHeads() {
        BatchPage mail = Pages.page("From: Orla Fennick", "Sent: 4 March 2031 10:12", "To: Piers Dunnock",
                "Subject: RE: the readings", "Please see below.");
        assertThat(cut(full("he said so"), mail)).isEqualTo("1 2");
    }

    @Test
    void whatGoesOnIsNoFirstPage() {
        assertThat(cut(full("1. I live in Aldermere."), full("and the door was open when the engineer came to look at it")))
                .isEqualTo("1-2");
        assertThat(
                cut(Pages.page("Dear Sirs", "@280 Page 1 of 2"), Pages.page("@10 Page 2 of 2", "@40 Dear me, said the driver.")))
                .isEqualTo("1-2");
        assertThat(cut(Pages.page("@10 Brightwick Cold Stores Ltd", "@20 Statement of account 4 March 2031", "Carried forward"),
                Pages.page("@10 Brightwick Cold Stores Ltd", "@20 Statement of account 4 March 2031", "Brought forward")))
                .isEqualTo("1-2");
    }

    @Test
    void blankSheetsAndPicturesBeginNothing() {
        assertThat(cut(full("he said so"), Pages.blank(), Pages.page(new String[0]))).isEqualTo("1-3");
    }

    @Test
    void aPileOfPostIsCutWhereItsDocumentsBegin() throws IOException {
        Path pile = temp.resolve("pile.pdf");
        List<Integer> firsts = RehearsalPost.write(pile, 60, 7_001);
        try (InPlace place = new InPlace(List.of())) {
            Source source = new Intake(place, List.of(), Reading.STANDARD)
                    .bringIn(FoundFolder.of(List.of(pile), new ArrayList<>()), Intake.Listener.NONE, () -> false).sources()
                    .getFirst();
            place.know(List.of(source));
            List<Integer> found =
                    Cutter.cut(BatchPages.read(place, source.id(), false, Progress.NONE, () -> false), RULE, ByHand.NONE).pieces()
                            .stream().map(Cutting.Piece::first).toList();
            List<Integer> right = found.stream().filter(firsts::contains).toList();
            assertThat((double) right.size() / found.size()).as("of what is cut, how much begins there").isGreaterThan(0.9);
            assertThat((double) right.size() / firsts.size()).as("of what begins, how much is cut").isGreaterThan(0.9);
        }
    }
}
