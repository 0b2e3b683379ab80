package app.yellowtab.source;

import app.yellowtab.finding.Finding;
import app.yellowtab.model.SourceKind;
import app.yellowtab.pdf.Drafts;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Collection;
import org.apache.pdfbox.pdmodel.PDDocument;

/** Makes pages of files that are no PDF. The same file gives the same bytes. */
public final class Converter {
    private Converter() {}

    /**
     * Converts a file; the target appears whole or not at all.
     *
     * @param file   the file to read
     * @param named  the file as the user knows it, for findings
     * @param kind   what it is; not PDF
     * @param target the PDF to write
     * @param notes  takes what the user must know of the result
     */
    public static void convert(Path file, Path named, SourceKind kind, Path target, Collection<Finding> notes)
            throws IOException {
        Path draft = Drafts.beside(target);
        try (PDDocument document = new PDDocument()) {
            switch (kind) {
                case JPEG, PNG -> PicturePages.addPicture(document, file, named, notes);
                case GIF, BMP, WEBP -> PicturePages.addFirstPicture(document, file, named, notes);
                case TIFF -> PicturePages.addTiff(document, file);
                case TEXT -> TextPages.add(document, file, named, notes);
                case PDF -> throw new IllegalArgumentException("a PDF needs no conversion: " + file);
            }
            document.setDocumentId(0L);
            try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(draft))) {
                document.save(out);
            }
            Files.move(draft, target, StandardCopyOption.REPLACE_EXISTING);
        } finally {
            Files.deleteIfExists(draft);
        }
    }
}
