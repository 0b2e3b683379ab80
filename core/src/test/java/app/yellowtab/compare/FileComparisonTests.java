package app.yellowtab.compare;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.edit.repage.PagePairs;
import app.yellowtab.model.number.OldNumbers;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.picture.PageRenderer;
import app.yellowtab.picture.PictureFiles;
import app.yellowtab.source.InPlace;
import app.yellowtab.testing.Folder;
import app.yellowtab.testing.Pdfs;
import java.awt.Color;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDAppearanceContentStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationRubberStamp;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAppearanceDictionary;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAppearanceStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class FileComparisonTests {
    @TempDir
    private Path folder;

    private Function<SourceId, List<OldNumbers>> decided = older -> List.of();
    private List<OldNumbers> numbers = List.of();
    private int drawn;

    private void write(String name, String... pages) throws IOException {
        try (PDDocument document = new PDDocument()) {
            for (String words : pages) {
                PDPage page = Pdfs.addPage(document, PDRectangle.A4);
                Pdfs.say(document, page, words.replaceFirst("[#|].*", ""));
                if (words.contains("|")) Pdfs.say(document, page, words.substring(words.indexOf('|') + 1), 10, 280, 30);
                if (words.endsWith("#")) Pdfs.picture(document, page, 90);
            }
            document.save(folder.resolve(name).toFile());
        }
    }

    private String compared() throws IOException {
        try (InPlace place = new InPlace(List.of());
                PageRenderer renderer = new PageRenderer(place, new PictureFiles(folder.resolve("pictures"), 1 << 20))) {
            List<Source> sources = Folder.bundle(place, folder).sources();
            FileComparison.Compared found = FileComparison.compare(renderer, place, sources.get(0), sources.get(1),
                    decided.apply(sources.get(0).id()), (done, total) -> drawn++, () -> false);
            numbers = found.numbers();
            return found.pairs().pairs().stream().map(pair -> pair.before() + (pair.same() ? "=" : "~") + pair.after())
                    .collect(Collectors.joining(" "));
        }
    }

    @Test
    void whatHasChangedInWordsOrInPicturesIsFound() throws IOException {
        write("a.pdf", "The first page of it", "The bins stood in chamber 3", "They were opened on 12 October",
                "The last page of it");
        write("b.pdf", "The first page of it", "A page that is quite new", "The bins stood in chamber 3 #",
                "They were opened on 13 October", "The last page of it");
        assertThat(compared()).isEqualTo("1=1 0~2 2~3 3~4 4=5");
    }

    @Test
    void theSamePagesInAnotherFileAreTheSame() throws IOException {
        write("a.pdf", "One #", "Two");
        write("b.pdf", "One #", "Two", "Three");
        assertThat(compared()).isEqualTo("1=1 2=2 0~3");
    }

    @Test
    void whatIsMadeOfTheSameNeedsNoPictureAndWhatIsShownOtherwiseHasChanged() throws IOException {
        write("a.pdf", "One #", "Two", "Three", "Four", "Five");
        try (PDDocument document = Loader.loadPDF(folder.resolve("a.pdf").toFile())) {
            document.removePage(1);
            document.getPage(1).setRotation(180);
            PDAnnotationRubberStamp stamp = new PDAnnotationRubberStamp();
            stamp.setRectangle(new PDRectangle(100, 100, 200, 80));
            PDAppearanceStream look = new PDAppearanceStream(document);
            look.setBBox(new PDRectangle(200, 80));
            try (PDAppearanceContentStream content = new PDAppearanceContentStream(look)) {
                content.addRect(0, 0, 200, 80);
                content.fill();
            }
            PDAppearanceDictionary looks = new PDAppearanceDictionary();
            looks.setNormalAppearance(look);
            stamp.setAppearance(looks);
            document.getPage(2).setAnnotations(List.of(stamp));
            document.save(folder.resolve("b.pdf").toFile());
        }
        assertThat(compared()).isEqualTo("1=1 2~0 3~2 4~3 5=4");
        assertThat(drawn).as("both that are not made of the same, of either version").isEqualTo(4);
    }

    @Test
    void pagesStandForEachOtherByTheNumbersOfTheOtherSide() throws IOException {
        write("a.pdf", "The bins|D-01", "The log of the night|D-02", "Mill House|D-03", "The end|D-04");
        write("b.pdf", "The bins|D-01", "What was unsaid before|D-03", "A new one|D-09", "The end|D-04");
        assertThat(compared()).isEqualTo("1=1 2~2 3~3 4=4");
        Area foot = new Area(100, 280, 20, 5);
        List<OldNumbers.Place> places =
                IntStream.rangeClosed(1, 4).mapToObj(page -> new OldNumbers.Place(page, "D-0" + page, foot)).toList();
        decided = older -> List.of(new OldNumbers(older, "D-01", OldNumbers.Handling.IDENTITY, places));
        assertThat(compared()).isEqualTo("1=1 2~0 3~2 0~3 4=4");
        assertThat(numbers).singleElement().satisfies(its -> {
            assertThat(its.handling()).isEqualTo(OldNumbers.Handling.IDENTITY);
            assertThat(its.places()).extracting(OldNumbers.Place::page).containsExactly(1, 2, 4);
            assertThat(its.places()).extracting(OldNumbers.Place::words).containsExactly("D-01", "D-03", "D-04");
        });
    }

    @Test
    void whatWasDecidedAboutOldNumbersHoldsForTheNewerFile() throws IOException {
        write("a.pdf", "The bins|1", "The log of the night|2", "Mill House|3");
        write("b.pdf", "A page before|", "The bins|1", "The log of the night|2", "Mill House|3", "One more|4");
        decided = older -> List.of(new OldNumbers(older, "1", OldNumbers.Handling.AVOIDED,
                List.of(new OldNumbers.Place(1, "1", new Area(100, 280, 5, 5)))));
        assertThat(compared()).isEqualTo("0~1 1=2 2=3 3=4 0~5");
        assertThat(numbers).singleElement().satisfies(its -> {
            assertThat(its.handling()).isEqualTo(OldNumbers.Handling.AVOIDED);
            assertThat(its.places()).extracting(OldNumbers.Place::page).containsExactly(2, 3, 4, 5);
        });
    }

    @Test
    void oneOtherFigureInAPictureOfTextIsSeen() {
        assertThat(PageSight.of(text("Invoice 4127")).isLike(PageSight.of(text("Invoice 4127")))).isTrue();
        assertThat(PageSight.of(text("Invoice 4127")).isLike(PageSight.of(text("Invoice 4121")))).isFalse();
        assertThat(PageSight.of(text("Invoice 4127")).isLike(PageSight.of(text("Invoice 4127").getSubimage(0, 0, 480, 600))))
                .isFalse();
    }

    private static BufferedImage text(String words) {
        BufferedImage page = new BufferedImage(PageSight.WIDTH_PX, 680, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = page.createGraphics();
        pen.setColor(Color.WHITE);
        pen.fillRect(0, 0, 480, 680);
        pen.setColor(Color.BLACK);
        pen.setFont(new Font(Font.SERIF, Font.PLAIN, 8));
        pen.drawString(words, 100, 300);
        pen.dispose();
        return page;
    }
}
