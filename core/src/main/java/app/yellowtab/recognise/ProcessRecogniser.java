package app.yellowtab.recognise;

import app.yellowtab.files.UserFolder;
import app.yellowtab.ink.GreyPicture;
import app.yellowtab.ink.PageColumns;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Reads pictures in child processes, as many as are asked at the same time; they are started when they are needed. */
public final class ProcessRecogniser implements TextRecogniser {
    /** A page that takes more of a processor's time is given up. */
    private static final Duration MOST_TIME = Duration.ofMinutes(2);
    /** After so many pages a process is started anew, so that what its native code forgets to give back does not grow. */
    private static final int MOST_PAGES = 250;

    private final Path data;
    private final Path cache;
    private final String languages;
    private final Duration limit;
    private final Deque<Reader> idle = new ArrayDeque<>();
    private final String engine;
    private boolean closed;

    private record Reader(ReaderProcess process, int pages) {}

    /**
     * Starts the first process.
     *
     * @param codes the languages to read, of {@link Languages#codes}
     * @throws IOException if the engine does not run on this computer, or a language cannot be had; the message says which
     */
    public ProcessRecogniser(Languages languages, List<String> codes) throws IOException {
        this(languages, codes, MOST_TIME);
    }

    ProcessRecogniser(Languages languages, List<String> codes, Duration limit) throws IOException {
        if (codes.isEmpty()) throw new IllegalArgumentException("a language is needed");
        this.languages = String.join("+", codes);
        this.limit = limit;
        data = languages.data(codes);
        cache = UserFolder.cache().resolve("native");
        Reader first = new Reader(new ReaderProcess(data, this.languages, cache), 0);
        engine = first.process().version();
        idle.push(first);
    }

    @Override
    public List<ReadWord> read(GreyPicture picture) throws IOException {
        Reader reader = take();
        boolean done = false;
        try {
            List<ReadWord> words = words(reader.process().read(picture, PageColumns.areTwo(picture), limit));
            done = true;
            return WholeFigures.in(words);
        } finally {
            giveBack(new Reader(reader.process(), reader.pages() + 1), done);
        }
    }

    private Reader take() throws IOException {
        synchronized (idle) {
            @Nullable Reader waiting = idle.poll();
            if (waiting != null) return waiting;
        }
        return new Reader(new ReaderProcess(data, languages, cache), 0);
    }

    private void giveBack(Reader reader, boolean isSound) {
        synchronized (idle) {
            if (isSound && !closed && reader.pages() < MOST_PAGES) {
                idle.push(reader);
                return;
            }
        }
        reader.process().close();
    }

    /**
     * The engine's table: level, page, block, paragraph, line, word, left, top, width, height, certainty, text; words are of
     * level 5.
     */
    static List<ReadWord> words(String table) {
        List<ReadWord> words = new ArrayList<>();
        String before = "";
        int line = -1;
        for (String row : table.split("\n")) {
            String[] cells = row.split("\t", -1);
            if (cells.length < 12 || !cells[0].equals("5")) continue;
            String text = cells[11].replaceAll("[\\s\\p{Cntrl}]+", "");
            if (text.isEmpty()) continue;
            String place = cells[2] + "/" + cells[3] + "/" + cells[4];
            if (!place.equals(before)) line++;
            before = place;
            words.add(new ReadWord(line, text, Integer.parseInt(cells[6]), Integer.parseInt(cells[7]), Integer.parseInt(cells[8]),
                    Integer.parseInt(cells[9]), Math.clamp(Math.round(Float.parseFloat(cells[10])), 0, 100)));
        }
        return words;
    }

    @Override
    public String engine() {
        return engine;
    }

    @Override
    public String languages() {
        return languages;
    }

    @Override
    public void close() {
        synchronized (idle) {
            closed = true;
            idle.forEach(reader -> reader.process().close());
            idle.clear();
        }
    }
}
