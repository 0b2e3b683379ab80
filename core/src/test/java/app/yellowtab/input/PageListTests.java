package app.yellowtab.input;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Pages are listed without being read where the tree says enough, and rightly also where it lies. */
class PageListTests {
    @TempDir
    private Path folder;

    private interface Change {
        void to(PDDocument document, COSArray kids);
    }

    /** {@return the words on each page, by the place that the list gives it} */
    private List<String> listed(Change change) throws IOException {
        Path file = Pdfs.write(folder, "S", 4,
                document -> change.to(document, document.getPages().getCOSObject().getCOSArray(COSName.KIDS)));
        try (PdfInput input = PdfInput.open(file, List.of())) {
            List<String> words = new ArrayList<>();
            for (int i = 0; i < input.pages().size(); i++) {
                COSDictionary page = input.pages().get(i);
                words.add(new String(new PDPage(page).getContents().readAllBytes()).replaceAll("(?s).*\\((.*)\\).*", "$1"));
                assertThat(input.pages().numberOf(page)).isEqualTo(i + 1);
            }
            return words;
        }
    }

    private static COSDictionary node(COSBase... kids) {
        COSDictionary node = new COSDictionary();
        node.setItem(COSName.TYPE, COSName.PAGES);
        node.setItem(COSName.KIDS, new COSArray(List.of(kids)));
        node.setItem(COSName.COUNT, COSInteger.get(kids.length));
        return node;
    }

    @Test
    void aFlatTree() throws IOException {
        assertThat(listed((document, kids) -> {})).containsExactly("S-1", "S-2", "S-3", "S-4");
    }

    @Test
    void aTreeOfNodesWithAsManyPagesAsKids() throws IOException {
        assertThat(listed((document, kids) -> {
            for (int i = 0; i < 4; i++) kids.set(i, node(kids.get(i)));
        })).containsExactly("S-1", "S-2", "S-3", "S-4");
    }

    @Test
    void aNodeHiddenBetweenPagesWithACountThatLies() throws IOException {
        assertThat(listed((document, kids) -> {
            kids.set(1, node(kids.get(1), kids.get(2)));
            kids.remove(2);
            document.getPages().getCOSObject().setInt(COSName.COUNT, 3);
        })).containsExactly("S-1", "S-2", "S-3", "S-4");
    }

    @Test
    void countsThatSayNothing() throws IOException {
        assertThat(listed((document, kids) -> document.getPages().getCOSObject().setInt(COSName.COUNT, 99)))
                .containsExactly("S-1", "S-2", "S-3", "S-4");
        assertThat(listed((document, kids) -> kids.add(document.getPages().getCOSObject()))).containsExactly("S-1", "S-2", "S-3",
                "S-4");
    }

    @Test
    void aNodeThatIsListedTwiceIsReadTwiceAndOneInsideItselfOnce() throws IOException {
        Path file = Pdfs.write(folder, "S", 2, document -> {
            COSArray kids = document.getPages().getCOSObject().getCOSArray(COSName.KIDS);
            COSDictionary both = node(kids.get(0), kids.get(1));
            both.getCOSArray(COSName.KIDS).add(both);
            kids.clear();
            kids.add(both);
            kids.add(both);
        });
        try (PdfInput input = PdfInput.open(file, List.of())) {
            assertThat(input.pages().verified()).hasSize(4);
        }
    }

    @Test
    void aPageWithoutAType() throws IOException {
        assertThat(listed((document, kids) -> document.getPage(2).getCOSObject().removeItem(COSName.TYPE))).containsExactly("S-1",
                "S-2", "S-3", "S-4");
    }
}
