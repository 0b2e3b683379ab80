package app.yellowtab.deliver;

import app.yellowtab.files.Drafts;
import app.yellowtab.finding.DiskFull;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Subject;
import app.yellowtab.model.cut.SheetCode;
import app.yellowtab.pdf.FontSet;
import app.yellowtab.sheet.SeparatorSetter;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;

/** Writes separator sheets as a PDF to be printed. */
public final class SeparatorSheets {
    private SeparatorSheets() {}

    /**
     * Writes the sheets, each on a page of its own, in one step.
     *
     * @param target is replaced, if it is there
     * @param sheets at least one
     * @throws FindingException if it cannot be written
     */
    public static void write(Path target, List<SheetCode> sheets) throws FindingException {
        if (sheets.isEmpty()) throw new IllegalArgumentException("at least one sheet is needed");
        try {
            Path draft = Drafts.beside(target);
            try (PDDocument document = new PDDocument()) {
                SeparatorSetter setter = new SeparatorSetter(document, FontSet.forSaving(document));
                for (SheetCode sheet : sheets) setter.add(sheet);
                document.getDocumentInformation().setTitle("Separator sheets");
                document.getDocumentInformation().setProducer("Yellow Tab");
                document.save(draft.toFile());
                Drafts.move(draft, target);
            } finally {
                Files.deleteIfExists(draft);
            }
        } catch (IOException e) {
            throw new FindingException(new Finding(DiskFull.is(e, target) ? Code.NO_SPACE : Code.TARGET_NOT_WRITABLE,
                    Subject.OfProduced.of(target, 0), String.valueOf(e.getMessage())), e);
        }
    }
}
