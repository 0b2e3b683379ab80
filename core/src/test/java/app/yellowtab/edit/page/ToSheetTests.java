package app.yellowtab.edit.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.page.LookedPage;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.page.Sheet;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.source.InPlace;
import app.yellowtab.testing.Folder;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A document of five pages: A4, Letter, A3 lying, A5, and a drawing of 594 by 841 mm. */
class ToSheetTests {
    private static final double MM = 72 / 25.4;
    @TempDir
    private Path folder;
    private Bundle bundle;
    private Set<PageKey> all;

    @BeforeEach
    void bringIn() throws IOException {
        Pdfs.write(folder, "S", 5, document -> {
            PDRectangle[] sizes = {PDRectangle.A4, PDRectangle.LETTER, new PDRectangle((float) (420 * MM), (float) (297 * MM)),
                    PDRectangle.A5, PDRectangle.A1};
            for (int i = 0; i < sizes.length; i++) document.getPage(i).setMediaBox(sizes[i]);
        });
        try (InPlace place = new InPlace(List.of())) {
            bundle = Folder.bundle(place, folder);
        }
        all = keys(bundle);
    }

    private static Document document(Bundle bundle) {
        return bundle.contents().documents().getFirst();
    }

    private static Set<PageKey> keys(Bundle bundle) {
        Set<PageKey> keys = new HashSet<>();
        for (Run run : document(bundle).runs()) for (int n = 1; n <= run.pageCount(); n++) keys.add(run.key(n));
        return keys;
    }

    private static PageLook look(Bundle bundle, int page) {
        return document(bundle).runs().stream().map(SourcePages.class::cast)
                .filter(run -> run.first() <= page && page <= run.last()).findFirst().orElseThrow().look();
    }

    @Test
    void pagesAreFittedAndCentredLyingWhereTheyLieAndNeverEnlargedUnasked() {
        ToSheet.Fitted fitted = ToSheet.fitted(bundle, all, Sheet.A4, false, false);
        assertThat(fitted.brought()).isEqualTo(4);
        assertThat(fitted.left()).as("the drawing keeps its scale").isEqualTo(1);
        assertThat(look(fitted.bundle(), 1)).as("it is A4 already").isEqualTo(PageLook.PLAIN);
        assertThat(look(fitted.bundle(), 2).scale()).isCloseTo(210 / 215.9, within(0.001));
        assertThat(look(fitted.bundle(), 3).sheet()).contains(new Sheet(297, 210));
        assertThat(look(fitted.bundle(), 3).scale()).isCloseTo(0.7071, within(0.001));
        assertThat(look(fitted.bundle(), 4).scale()).isEqualTo(1);
        assertThat(look(fitted.bundle(), 5)).isEqualTo(PageLook.PLAIN);
        assertThat(fitted.least()).isCloseTo(0.7071, within(0.001));
        LookedPage a5 = LookedPage.of(PDRectangle.A5.getWidth(), PDRectangle.A5.getHeight(), look(fitted.bundle(), 4));
        assertThat(a5.shown().getCenterX()).isCloseTo(a5.widthPt() / 2, within(0.1));
        assertThat(ToSheet.takenOff(fitted.bundle(), all)).isEqualTo(bundle);
    }

    @Test
    void whatIsAskedForIsEnlargedAndDrawingsTellTheirScale() {
        ToSheet.Fitted fitted = ToSheet.fitted(bundle, all, Sheet.A4, true, true);
        assertThat(look(fitted.bundle(), 4).scale()).isGreaterThan(1.4);
        assertThat(fitted.least()).isCloseTo(0.353, within(0.002));
        assertThat(ToSheet.fitted(bundle, all, ToSheet.LETTER, false, true).brought()).isEqualTo(5);
    }

    @Test
    void onlyWhatLiesIsDividedAndTheHalvesAreThePage() {
        Spreads.Divided divided = Spreads.divided(bundle, all);
        assertThat(divided.left()).isEqualTo(4);
        assertThat(document(divided.bundle()).pageCount()).isEqualTo(6);
        List<SourcePages> halves = document(divided.bundle()).runs().stream().map(SourcePages.class::cast)
                .filter(run -> run.first() == 3 && run.last() == 3).toList();
        assertThat(halves).hasSize(2);
        assertThat(halves.get(1).isOtherHalfOf(halves.getFirst())).isTrue();
        assertThat(halves.getFirst().look().crop().orElseThrow().widthMm()).isCloseTo(210, within(0.1));
        assertThat(halves.get(1).look().crop().orElseThrow().leftMm()).isCloseTo(210, within(0.1));
        assertThat(Spreads.divided(divided.bundle(), keys(divided.bundle())).bundle()).as("halves are not divided again")
                .isEqualTo(divided.bundle());
    }

    @Test
    void aRangeIsReplacedByOtherPages() {
        List<PageKey> two = List.of(document(bundle).runs().getFirst().key(2), document(bundle).runs().getFirst().key(3));
        Bundle replaced =
                PageEdits.replaced(bundle, Set.copyOf(two), List.of(SourcePages.of(bundle.sources().getFirst().id(), 5, 5)));
        assertThat(document(replaced).runs().stream().map(SourcePages.class::cast).map(run -> run.first() + "-" + run.last()))
                .containsExactly("1-1", "5-5", "4-5");
    }
}
