package app.yellowtab.convert.word;

import app.yellowtab.convert.page.Notes;
import java.io.IOException;
import java.nio.file.Path;
import org.apache.pdfbox.pdmodel.PDDocument;

/** Sets what word processors write on pages. */
public final class WordPages {
    private WordPages() {}

    /**
     * Adds the pages of a .docx.
     *
     * @param showChanges  whether tracked changes are marked instead of accepted
     * @param showComments whether comments stand in the text
     * @param notes        takes what the pages lack
     */
    public static void addDocx(PDDocument document, Path file, boolean showChanges, boolean showComments, Notes notes)
            throws IOException {
        DocxPages.add(document, file, showChanges, showComments, notes);
    }

    /** Adds the pages of an older binary document. */
    public static void addDoc(PDDocument document, Path file, boolean showChanges, Notes notes) throws IOException {
        DocPages.add(document, file, showChanges, notes);
    }
}
