package app.yellowtab.recognise;

import app.yellowtab.ink.GreyPicture;
import java.io.Closeable;
import java.io.IOException;
import java.util.List;

/** Reads the words in pictures of pages. Safe to share between threads. */
public interface TextRecogniser extends Closeable {
    /**
     * Reads a picture.
     *
     * @return its words, in the order in which one reads; none where there are none
     * @throws IOException if it could not be read, or not in the time that a page may take; others can
     */
    List<ReadWord> read(GreyPicture picture) throws IOException;

    /** {@return the engine and its version, as it is kept beside what was read} */
    String engine();

    /** {@return the languages that are read, such as "eng" or "deu+eng"} */
    String languages();
}
