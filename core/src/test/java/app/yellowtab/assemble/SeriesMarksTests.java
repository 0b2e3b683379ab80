package app.yellowtab.assemble;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.yellowtab.edit.number.NumberEdits;
import app.yellowtab.edit.page.PageEdits;
import app.yellowtab.finding.Progress;
import app.yellowtab.mark.Ground;
import app.yellowtab.mark.MarkLook;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.number.BundleNumber;
import app.yellowtab.model.number.MarkSetting;
import app.yellowtab.model.number.Series;
import app.yellowtab.model.number.SeriesId;
import app.yellowtab.prove.Prover;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.pdfbox.text.TextPosition;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Numbers of several series, read back from the produced file where a reader would see them. */
class SeriesMarksTests extends OneSource {
    private static final double MM = 72 / 25.4;

    /** Where words were found, from the upper left of what is seen, in millimetres: left, and how far the base line is from the foot. */
    private record Seen(double left, double fromFoot, double right) {}

    private Seen find(String words, double highMm) throws IOException {
        List<Seen> found = new ArrayList<>();
        try (PDDocument document = Loader.loadPDF(target.toFile())) {
            PDFTextStripper stripper = new PDFTextStripper() {
                @Override
                protected void writeString(String text, List<TextPosition> letters) {
                    int at = text.indexOf(words);
                    if (at < 0 || letters.size() < at + words.length()) return;
                    TextPosition first = letters.get(at);
                    TextPosition last = letters.get(at + words.length() - 1);
                    found.add(new Seen(first.getX() / MM, highMm - first.getY() / MM, (last.getX() + last.getWidth()) / MM));
                }
            };
            stripper.setStartPage(3);
            stripper.setEndPage(3);
            stripper.getText(document);
        }
        assertThat(found).as(words).hasSize(1);
        return found.getFirst();
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2, 3})
    void eachStandsInItsPlaceHoweverThePageIsTurnedAndTheProofFindsThemAll(int turns) throws IOException {
        Series bates = new Series(new SeriesId("bates"), "TH-000101", new MarkSetting(Spot.OPPOSITE, MarkLook.SERIES));
        choices = bundle -> NumberEdits.withNumber(NumberEdits.with(PageEdits.turned(bundle, Set.of(bundle.contents().documents().getFirst().runs().getFirst().key(1)), turns), bates),
                new BundleNumber(new MarkSetting(new Spot(Spot.Row.FOOT, Spot.Column.RIGHT, 12, 15), MarkLook.NUMBER.withSize(20).withGround(Ground.WHITE))));
        produce(2, document -> { });
        assertThat(Prover.standard().prove(target, Progress.NONE, () -> false).orElseThrow().findings()).isEmpty();
        Seen number = find("TH-000101", turns % 2 == 0 ? 297 : 210);
        assertThat(number.left()).isCloseTo(10, within(0.6));
        assertThat(number.fromFoot()).isCloseTo(10, within(0.3));
        try (PDDocument document = Loader.loadPDF(target.toFile())) {
            assertThat(document.getDocumentCatalog().getPageLabels().getLabelsByPageIndices()).containsExactly("1", "2", "3", "4");
            assertThat(new PDFTextStripper().getText(document)).contains("TH-000101").contains("TH-000102");
        }
    }
}
