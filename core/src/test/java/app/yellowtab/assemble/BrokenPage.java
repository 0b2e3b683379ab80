package app.yellowtab.assemble;

import app.yellowtab.finding.FindingException;
import app.yellowtab.model.SourceId;
import app.yellowtab.source.InPlace;
import app.yellowtab.source.SourceFiles;
import java.io.IOException;
import java.nio.file.Path;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;

/** The first page of every source has a content that cannot be read. */
record BrokenPage(InPlace place) implements SourceFiles {
    @Override
    public Path original(SourceId id) {
        return place.original(id);
    }

    @Override
    public Path readable(SourceId id) {
        return place.readable(id);
    }

    @Override
    public boolean isOriginal(Path file) {
        return place.isOriginal(file);
    }

    @Override
    public PDDocument open(SourceId id) throws FindingException {
        PDDocument document = place.open(id);
        COSStream gone = document.getDocument().createCOSStream();
        document.getPage(0).getCOSObject().setItem(COSName.CONTENTS, gone);
        try {
            gone.close();
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
        return document;
    }
}
