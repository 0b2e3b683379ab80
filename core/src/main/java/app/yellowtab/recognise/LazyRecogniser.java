package app.yellowtab.recognise;

import app.yellowtab.ink.GreyPicture;
import java.io.IOException;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Reads pictures with an engine that is started when the first is to be read. Safe to share between threads. */
public final class LazyRecogniser implements TextRecogniser {
    private final Start start;
    private @Nullable TextRecogniser engine;
    private @Nullable IOException refused;
    private boolean closed;

    /** Starts an engine. */
    @FunctionalInterface
    public interface Start {
        /** @throws IOException if none runs on this computer */
        TextRecogniser engine() throws IOException;
    }

    public LazyRecogniser(Start start) {
        this.start = start;
    }

    /** {@return one that reads all languages that this computer's user has} */
    public static LazyRecogniser ofUser() {
        return new LazyRecogniser(() -> {
            Languages languages = Languages.ofUser();
            return new ProcessRecogniser(languages, languages.codes());
        });
    }

    /** {@return the engine} Where it does not run it is not tried again. */
    private synchronized TextRecogniser started() throws IOException {
        if (closed) throw new IOException("it is closed");
        if (refused != null) throw new IOException("no picture can be read on this computer", refused);
        TextRecogniser running = engine;
        if (running != null) return running;
        try {
            running = start.engine();
            engine = running;
            return running;
        } catch (IOException none) {
            refused = none;
            throw none;
        }
    }

    @Override
    public List<ReadWord> read(GreyPicture picture) throws IOException {
        return started().read(picture);
    }

    /** {@return the engine and its version; empty before the first picture was read} */
    @Override
    public synchronized String engine() {
        TextRecogniser running = engine;
        return running == null ? "" : running.engine();
    }

    /** {@return the languages that are read; empty before the first picture was read} */
    @Override
    public synchronized String languages() {
        TextRecogniser running = engine;
        return running == null ? "" : running.languages();
    }

    @Override
    public synchronized void close() throws IOException {
        closed = true;
        if (engine != null) engine.close();
    }
}
