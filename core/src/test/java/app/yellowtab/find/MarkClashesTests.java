package app.yellowtab.find;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.edit.number.NumberEdits;
import app.yellowtab.edit.page.PageEdits;
import app.yellowtab.mark.MarkLook;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.number.BundleNumber;
import app.yellowtab.model.page.PageKey;
import app.yellowtab.plan.Marking;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.source.InPlace;
import app.yellowtab.testing.Folder;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A file of three pages; at the foot of the second, on the right, there is a footnote. */
class MarkClashesTests {
    @TempDir
    private Path folder;

    @Test
    void aNumberOnWordsIsFoundAndIsNoMoreWhereItWasMoved() throws IOException {
        Pdfs.write(folder, "S", 3, document -> {
            try (PDPageContentStream content = new PDPageContentStream(document, document.getPage(1))) {
                content.beginText();
                content.setFont(new PDType1Font(Standard14Fonts.FontName.HELVETICA), 11);
                content.newLineAtOffset(520, 30);
                content.showText("see note 7");
                content.endText();
            } catch (IOException e) {
                throw new IllegalStateException(e);
            }
        });
        try (InPlace place = new InPlace(List.of())) {
            Bundle bundle = Folder.bundle(place, folder);
            assertThat(clashes(bundle, place)).containsExactly("4 on note 7");
            Bundle left = NumberEdits.withNumber(bundle, new BundleNumber(Spot.OPPOSITE, MarkLook.NUMBER, true));
            assertThat(clashes(left, place)).isEmpty();
            PageKey page = bundle.contents().documents().getFirst().runs().getFirst().key(2);
            assertThat(clashes(NumberEdits.moved(bundle, page, Marking.BUNDLE, Optional.of(Spot.OPPOSITE)), place)).isEmpty();
            assertThat(clashes(PageEdits.turned(bundle, Set.of(page), 2), place)).as("the footnote is at the head now").isEmpty();
        }
    }

    private static List<String> clashes(Bundle bundle, InPlace place) {
        Plan plan = Planner.plan(bundle);
        BundleWords words = new BundleWords(place);
        return IntStream.range(0, plan.pageCount()).boxed().flatMap(i -> {
            try {
                return MarkClashes.on(plan, plan.leaf(i), bundle.sourcesById(), words).stream();
            } catch (IOException e) {
                throw new IllegalStateException(e);
            }
        }).map(clash -> clash.mark().words() + " on " + clash.words()).toList();
    }
}
