package app.yellowtab.assemble;

import app.yellowtab.input.PdfInput;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.source.InPlace;
import app.yellowtab.source.SourceFiles;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;

/** Meddles with each source when it is opened. */
record Meddling(InPlace place, Meddler meddler) implements SourceFiles {
    @FunctionalInterface
    interface Meddler {
        void with(Path original, PdfInput input) throws IOException;
    }

    /** {@return sources whose first page has a content that cannot be read} */
    static Meddling brokenPages(InPlace place) {
        return new Meddling(place, (original, input) -> input.pages().getFirst().setItem(COSName.CONTENTS, new COSStream() {
            @Override
            public boolean hasData() {
                return true;
            }

            @Override
            public InputStream createRawInputStream() throws IOException {
                throw new IOException("gone");
            }
        }));
    }

    @Override
    public PdfInput open(SourceId id) throws IOException {
        PdfInput input = place.open(id);
        meddler.with(original(id), input);
        return input;
    }

    @Override
    public Source source(SourceId id) {
        return place.source(id);
    }

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
}
