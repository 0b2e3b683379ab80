package app.yellowtab.write;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.junit.jupiter.api.Test;

/** Labels are asked of another reader's own counting. */
class PageLabelsTests {
    @Provide
    Arbitrary<List<String>> labels() {
        Arbitrary<String> figures = Arbitraries.integers().between(1, 12).map(String::valueOf);
        Arbitrary<String> words =
                Arbitraries.of("", "i", "45A", "B12", "B13", "B-9", "TH-000999", "TH-001000", "007", "0", "é (1)");
        return Arbitraries.oneOf(figures, words).list().ofMinSize(1).ofMaxSize(25);
    }

    private static String[] read(List<String> labels) throws IOException {
        StringBuilder pdf =
                new StringBuilder("%PDF-1.7\n1 0 obj<</Type/Catalog/Pages 2 0 R/PageLabels<</Nums[").append(PageLabels.of(labels))
                        .append("]>>>>endobj\n2 0 obj<</Type/Pages/Count ").append(labels.size()).append("/Kids[");
        for (int i = 0; i < labels.size(); i++) pdf.append(i + 3).append(" 0 R ");
        pdf.append("]>>endobj\n");
        for (int i = 0; i < labels.size(); i++)
            pdf.append(i + 3).append(" 0 obj<</Type/Page/Parent 2 0 R/MediaBox[0 0 9 9]>>endobj\n");
        pdf.append("trailer<</Root 1 0 R>>\n%%EOF");
        try (PDDocument document = Loader.loadPDF(pdf.toString().getBytes(StandardCharsets.ISO_8859_1))) {
            return document.getDocumentCatalog().getPageLabels().getLabelsByPageIndices();
        }
    }

    @Property(tries = 100)
    void areReadAsTheyWereGiven(@ForAll("labels") List<String> labels) throws IOException {
        assertThat(read(labels)).containsExactlyElementsOf(labels);
    }

    @Test
    void numbersWithoutAGapTakeOneEntry() {
        assertThat(PageLabels.of(List.of("1", "2", "3", "4"))).isEqualTo("0<</S/D/St 1>>");
    }
}
