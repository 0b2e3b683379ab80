package app.yellowtab.testing;

import app.yellowtab.ink.GreyPicture;
import app.yellowtab.recognise.ReadWord;
import app.yellowtab.recognise.TextRecogniser;
import java.io.IOException;
import java.util.List;

/** Reads nothing: for tests in which a page's words are its own, which need not wait for an engine. */
public final class NoEngine implements TextRecogniser {
    @Override
    public List<ReadWord> read(GreyPicture picture) throws IOException {
        throw new IOException("there is no engine");
    }

    @Override
    public String engine() {
        return "";
    }

    @Override
    public String languages() {
        return "";
    }

    @Override
    public void close() {}
}
