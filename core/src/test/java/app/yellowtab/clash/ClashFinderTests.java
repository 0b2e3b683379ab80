package app.yellowtab.clash;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.clash.Clash.Kind;
import app.yellowtab.edit.number.NumberEdits;
import app.yellowtab.edit.page.PageEdits;
import app.yellowtab.find.BundleWords;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.mark.Ground;
import app.yellowtab.mark.MarkLook;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.number.LinePart;
import app.yellowtab.model.number.MarkSetting;
import app.yellowtab.model.number.RunningLine;
import app.yellowtab.model.number.SeriesId;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.picture.PageRenderer;
import app.yellowtab.picture.PictureFiles;
import app.yellowtab.plan.Marking;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.source.InPlace;
import app.yellowtab.testing.Folder;
import app.yellowtab.testing.Pdfs;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * A file of four pages. At the foot, on the right: of the second a footnote, of the third a line, of the fourth a dark picture.
 */
class ClashFinderTests {
    @TempDir
    private Path folder;
    private InPlace place;
    private PageRenderer renderer;
    private Bundle bundle;

    @BeforeEach
    void write() throws IOException {
        Pdfs.write(folder, "S", 4, document -> {
            try {
                draw(document, 1, "BT /F 11 Tf 520 30 Td (see note 7) Tj ET");
                draw(document, 2, "0.4 w 480 33 m 580 33 l S");
                draw(document, 3, "0.2 g 500 0 95 60 re f");
            } catch (IOException e) {
                throw new IllegalStateException(e);
            }
        });
        place = new InPlace(List.of());
        renderer = new PageRenderer(place, PictureFiles.NONE);
        bundle = set(Folder.bundle(place, folder), setting -> setting.withLook(setting.look().withGround(Ground.NONE)));
    }

    @AfterEach
    void close() throws IOException {
        renderer.close();
        place.close();
    }

    private static void draw(PDDocument document, int page, String operators) throws IOException {
        PDPage drawn = document.getPage(page);
        String font = drawn.getResources().add(new PDType1Font(Standard14Fonts.FontName.HELVETICA)).getName();
        PDStream more = new PDStream(document, new ByteArrayInputStream(
                ("\n" + operators.replace("/F ", "/" + font + " ") + "\n").getBytes(StandardCharsets.US_ASCII)));
        List<PDStream> streams = new ArrayList<>();
        drawn.getContentStreams().forEachRemaining(streams::add);
        streams.add(more);
        drawn.setContents(streams);
    }

    private static Bundle set(Bundle bundle, UnaryOperator<MarkSetting> change) {
        return NumberEdits.set(bundle, Marking.BUNDLE, change);
    }

    private List<String> clashes(Bundle of) throws IOException {
        Plan plan = Planner.plan(of);
        ClashFinder finder = new ClashFinder(new BundleWords(place), renderer);
        List<String> found = new ArrayList<>();
        for (Leaf leaf : plan.leaves()) finder.on(plan, leaf, of.sourcesById())
                .forEach(clash -> found.add(clash.mark().words() + " " + clash.kind() + " " + clash.words()));
        return found;
    }

    private PageKey key(int page) {
        return bundle.contents().documents().getFirst().runs().getFirst().key(page);
    }

    @Test
    void wordsLinesAndDarkPartsOfPicturesAreFound() throws IOException {
        assertThat(clashes(bundle)).containsExactly("4 WORDS note 7", "5 DRAWN ", "6 DRAWN ");
        assertThat(clashes(set(bundle, setting -> setting.withSpot(Spot.OPPOSITE)))).isEmpty();
        assertThat(clashes(set(bundle, setting -> setting.withLook(setting.look().withGround(Ground.WHITE)))))
                .as("a number on white is read on a dark picture, but hides words").containsExactly("4 WORDS note 7");
        assertThat(clashes(NumberEdits.moved(bundle, key(2), Marking.BUNDLE, Optional.of(Spot.OPPOSITE))))
                .containsExactly("5 DRAWN ", "6 DRAWN ");
        assertThat(clashes(PageEdits.turned(bundle, Set.of(key(2)), 2))).as("the footnote is at the head now")
                .doesNotContain("4 WORDS note 7");
    }

    @Test
    void whatHelpsHelps() throws IOException {
        Plan plan = Planner.plan(bundle);
        ClashFinder finder = new ClashFinder(new BundleWords(place), renderer);
        Leaf leaf = plan.leaf(3);
        Spot free = finder.free(plan, leaf, plan.marksOn(leaf).getFirst(), bundle.sourcesById()).orElseThrow();
        assertThat(free.row()).isEqualTo(Spot.Row.FOOT);
        assertThat(clashes(NumberEdits.moved(bundle, key(2), Marking.BUNDLE, Optional.of(free)))).hasSize(2);
        PageLook shrunk = finder.shrunk(plan, leaf, plan.marksOn(leaf).getFirst(), bundle.sourcesById()).orElseThrow();
        assertThat(shrunk.scale()).isBetween(0.8, 0.97);
        assertThat(clashes(PageEdits.looked(bundle, Set.of(key(2)), look -> shrunk))).hasSize(2);
    }

    @Test
    void twoMarksInOnePlaceAreFoundAndWhatIsOursIsLookedAtToo() throws IOException {
        RunningLine onIt = new RunningLine(new SeriesId("line"), new MarkSetting(Spot.STANDARD, MarkLook.LINE),
                List.of(new LinePart.Typed("Private")));
        assertThat(clashes(NumberEdits.with(bundle, onIt))).contains("3 MARK Private", "Private WORDS note 7");
        RunningLine inHeading = new RunningLine(new SeriesId("line"),
                new MarkSetting(new Spot(Spot.Row.HEAD, Spot.Column.MIDDLE, 0, 25), MarkLook.LINE),
                List.of(new LinePart.Typed("Private")));
        assertThat(clashes(NumberEdits.with(bundle, inHeading))).as("the index has its heading there").contains("Private DRAWN ");
        assertThat(clashes(bundle)).extracting(words -> Kind.valueOf(words.split(" ")[1])).doesNotContain(Kind.MARK);
    }
}
