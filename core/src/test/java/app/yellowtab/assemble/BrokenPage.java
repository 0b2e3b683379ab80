package app.yellowtab.assemble;

import app.yellowtab.input.PdfInput;
import app.yellowtab.model.Source;
import app.yellowtab.model.SourceId;
import app.yellowtab.source.InPlace;
import app.yellowtab.source.SourceFiles;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;

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
    public Source source(SourceId id) {
        return place.source(id);
    }

    @Override
    public PdfInput open(SourceId id) throws IOException {
        PdfInput input = place.open(id);
        input.pages().getFirst().setItem(COSName.CONTENTS, new COSStream() {
            @Override
            public boolean hasData() {
                return true;
            }

            @Override
            public InputStream createRawInputStream() throws IOException {
                throw new IOException("gone");
            }
        });
        return input;
    }
}
