package app.yellowtab.assemble;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.yellowtab.edit.number.LineEdits;
import app.yellowtab.edit.number.NumberEdits;
import app.yellowtab.edit.page.PageEdits;
import app.yellowtab.finding.Progress;
import app.yellowtab.mark.Ground;
import app.yellowtab.mark.MarkLook;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.number.BundleNumber;
import app.yellowtab.model.number.MarkSetting;
import app.yellowtab.model.number.RunningLine;
import app.yellowtab.model.number.Series;
import app.yellowtab.model.number.SeriesId;
import app.yellowtab.model.page.Area;
import app.yellowtab.prove.Prover;
import app.yellowtab.testing.Poppler;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Numbers of several series and a line, read back from the produced file by another reader, at their place in millimetres. */
class SeriesMarksTests extends OneSource {
    /** In millimetres. */
    private static final double NEAR = 0.1;
    /** How high a line of our typeface is to poppler, how far of it is below the base line, and how high its figures are. */
    private static final double LINE_EM = 1.3;
    private static final double DESCENT_EM = 0.316;
    private static final double FIGURES_EM = 0.67;
    private static final Spot AT_HEAD = new Spot(Spot.Row.HEAD, Spot.Column.MIDDLE, 0, 8);

    private Poppler.Word find(String words) {
        List<Poppler.Word> found = Poppler.words(target, 3).stream().filter(each -> each.words().equals(words)).toList();
        assertThat(found).as(words).hasSize(1);
        return found.getFirst();
    }

    private static double em(Poppler.Word word) {
        return (word.bottom() - word.top()) / LINE_EM;
    }

    private static double baseLine(Poppler.Word word) {
        return word.bottom() - DESCENT_EM * em(word);
    }

    /** Four turns, whole, cropped, and with a unit of 1/36 inch (ISO 32000-1, 14.10.4), in which poppler counts, too. */
    @ParameterizedTest
    @CsvSource({"0,false,1", "1,false,1", "2,false,1", "3,false,1", "0,true,1", "1,true,1", "2,true,1", "3,true,1", "0,false,2",
            "1,false,2", "3,true,2"})
    void eachStandsInItsPlaceHoweverThePageIsTurnedAndTheProofFindsThemAll(int turns, boolean cropped, float unit)
            throws IOException {
        Series bates = new Series(new SeriesId("bates"), "TH-000101", new MarkSetting(Spot.OPPOSITE, MarkLook.SERIES));
        RunningLine line = new RunningLine(new SeriesId("line"), new MarkSetting(AT_HEAD, MarkLook.LINE.withSize(12)),
                LineEdits.read("Orchard"));
        choices =
                bundle -> NumberEdits
                        .with(NumberEdits.withNumber(
                                NumberEdits.with(
                                        PageEdits.looked(bundle,
                                                Set.of(bundle.contents().documents().getFirst().runs().getFirst().key(1)),
                                                look -> look.withTurns(turns).withCrop(
                                                        cropped ? Optional.of(new Area(20, 30, 120, 160)) : Optional.empty())),
                                        bates),
                                new BundleNumber(new MarkSetting(new Spot(Spot.Row.FOOT, Spot.Column.RIGHT, 12, 15),
                                        MarkLook.NUMBER.withSize(20).withGround(Ground.WHITE)))),
                                line);
        produce(2, document -> {
            if (unit != 1) document.getPage(0).setUserUnit(unit);
        });
        assertThat(Prover.standard().prove(target, Progress.NONE, () -> false).orElseThrow().findings()).isEmpty();
        boolean lying = turns % 2 == 1;
        double wide = cropped ? lying ? 160 : 120 : (lying ? 297 : 210) * unit;
        double high = cropped ? lying ? 120 : 160 : (lying ? 210 : 297) * unit;
        Poppler.Word number = find("3");
        assertThat(wide - number.right() * unit).isCloseTo(12, within(NEAR));
        assertThat(high - baseLine(number) * unit).isCloseTo(15, within(NEAR));
        Poppler.Word disclosed = find("TH-000101");
        assertThat(disclosed.left() * unit).isCloseTo(10, within(NEAR));
        assertThat(high - baseLine(disclosed) * unit).isCloseTo(10, within(NEAR));
        Poppler.Word title = find("Orchard");
        assertThat((title.left() + title.right()) / 2 * unit).isCloseTo(wide / 2, within(NEAR));
        assertThat((baseLine(title) - FIGURES_EM * em(title)) * unit).isCloseTo(8, within(NEAR));
        try (PDDocument document = Loader.loadPDF(target.toFile())) {
            assertThat(document.getDocumentCatalog().getPageLabels().getLabelsByPageIndices()).containsExactly("1", "2", "3",
                    "4");
        }
    }
}
