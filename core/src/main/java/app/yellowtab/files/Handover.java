package app.yellowtab.files;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Properties;
import java.util.UUID;
import java.util.stream.Stream;
import org.slf4j.LoggerFactory;

/**
 * Puts drafted files into their places, all or none. What is to be done is written down first, in a journal beside
 * them; what was there before is kept aside until all is in place. Where a program is killed in the midst of it, the next one
 * finishes it, or takes it back where a draft is lost. For one thread.
 */
public final class Handover {
    private static final String BEGIN = ".yellowtab-";
    private static final String JOURNAL = ".journal";
    /** What a journal is called when all is in place, and only what was there before is still to be cleared away. */
    private static final String DONE = ".done";
    /** Beside the journal's own folder, where the same bundle's programs look first. */
    private static final String POINTER = ".pointer";
    private static final String ASIDE = ".aside";

    private final Path journal;
    private final List<Step> steps;
    private final Mover mover;

    private Handover(Path journal, List<Step> steps, Mover mover) {
        this.journal = journal;
        this.steps = steps;
        this.mover = mover;
    }

    /** Moves a file into a place in which nothing is. */
    @FunctionalInterface
    public interface Mover {
        void move(Path from, Path to) throws IOException;
    }

    /**
     * What becomes of a place.
     *
     * @param draft what comes into it; empty where it is only emptied
     */
    public record Change(Optional<Path> draft, Path place) {
        /** {@return that a draft comes into a place} */
        public static Change put(Path draft, Path place) {
            return new Change(Optional.of(draft.toAbsolutePath()), place.toAbsolutePath());
        }

        /** {@return that what is in a place is taken away} */
        public static Change empty(Path place) {
            return new Change(Optional.empty(), place.toAbsolutePath());
        }
    }

    /**
     * @param aside   where what was in the place is kept meanwhile
     * @param wasThere whether something was in the place
     */
    private record Step(Optional<Path> draft, Path place, Path aside, boolean wasThere) {
        boolean isMade() {
            boolean isCleared = !wasThere || Files.exists(aside);
            return draft.map(its -> !Files.exists(its) && isCleared && Files.exists(place)).orElse(isCleared);
        }

        boolean isLost() {
            return draft.isPresent() && !Files.exists(draft.get()) && !isMade();
        }
    }

    /**
     * Makes changes.
     *
     * @param folder  where the journal lies meanwhile: that of the files that are asked for
     * @param changes in the order in which they are made; their drafts are forced onto the disk before
     * @param pointer a folder that leads to the journal, where the next program looks; empty for none
     * @throws IOException if one cannot be made; all is as it was then, or {@link #pending} finds what is left to be done
     */
    public static void make(Path folder, List<Change> changes, Optional<Path> pointer, Mover mover) throws IOException {
        String name = BEGIN + UUID.randomUUID();
        Path journal = folder.toAbsolutePath().resolve(name + JOURNAL);
        List<Step> steps = changes.stream().map(change -> new Step(change.draft(), change.place(),
                change.place().resolveSibling(BEGIN + UUID.randomUUID() + ASIDE), Files.exists(change.place()))).toList();
        Handover handover = new Handover(journal, steps, mover);
        for (Change change : changes) if (change.draft().isPresent()) force(change.draft().get());
        if (pointer.isPresent()) write(pointer.get().resolve(name + POINTER), journal.toString());
        write(journal, handover.written());
        try {
            handover.finish();
        } catch (IOException refused) {
            try {
                handover.takeBack();
            } catch (IOException held) {
                refused.addSuppressed(held);
            }
            throw refused;
        } finally {
            if (pointer.isPresent() && !Files.exists(journal)) Files.deleteIfExists(pointer.get().resolve(name + POINTER));
        }
    }

    private void finish() throws IOException {
        for (Step step : steps) {
            if (step.isMade()) continue;
            if (step.wasThere() && !Files.exists(step.aside())) mover.move(step.place(), step.aside());
            if (step.draft().isPresent()) mover.move(step.draft().get(), step.place());
        }
        Path done = done(journal);
        Files.move(journal, done);
        clear(done, steps);
    }

    private static Path done(Path journal) {
        String name = String.valueOf(journal.getFileName());
        return journal.resolveSibling(name.substring(0, name.length() - JOURNAL.length()) + DONE);
    }

    /** All is in place: whether what was there before can be cleared away now or later makes no difference to it. */
    private static void clear(Path done, List<Step> steps) {
        try {
            for (Step step : steps) Files.deleteIfExists(step.aside());
            Files.deleteIfExists(done);
        } catch (IOException later) {
            LoggerFactory.getLogger(Handover.class).warn("not cleared away yet: {}", done, later);
        }
    }

    private void takeBack() throws IOException {
        for (Step step : steps.reversed()) {
            if (step.draft().isPresent() && step.isMade()) Files.move(step.place(), step.draft().get());
            if (Files.exists(step.aside())) Files.move(step.aside(), step.place());
        }
        Files.deleteIfExists(journal);
    }

    /** {@return the journals of what was begun and neither finished nor taken back, among whose places one is} */
    public static List<Path> pending(Path place) {
        Path whole = place.toAbsolutePath();
        return journals(whole.getParent()).stream()
                .filter(journal -> read(journal).stream().anyMatch(step -> step.place().equals(whole))).toList();
    }

    /** Clears away what was there before, where a program was killed when all was in place. */
    static void clearDone(Path folder) {
        for (Path done : named(folder.toAbsolutePath(), DONE)) clear(done, read(done));
    }

    /** {@return the journals that pointers in a folder lead to, and those in it} */
    public static List<Path> pendingIn(Path folder) {
        List<Path> journals = new ArrayList<>(journals(folder.toAbsolutePath()));
        clearDone(folder);
        for (Path pointer : named(folder, POINTER)) {
            try {
                Path journal = Path.of(Files.readString(pointer));
                if (!Files.exists(journal)) Files.deleteIfExists(pointer);
                else if (!journals.contains(journal)) journals.add(journal);
            } catch (IOException | InvalidPathException unreadable) {
                LoggerFactory.getLogger(Handover.class).warn("a pointer leads nowhere: {}", pointer, unreadable);
            }
        }
        return journals;
    }

    /**
     * Finishes what was begun by a program that is no more, or takes it back where a draft is lost.
     *
     * @throws IOException if that cannot be done now; nothing is lost, and it can be tried again
     */
    public static void settle(Path journal, Mover mover) throws IOException {
        List<Step> steps = read(journal);
        Handover handover = new Handover(journal, steps, mover);
        if (steps.stream().anyMatch(Step::isLost)) handover.takeBack();
        else handover.finish();
        for (Step step : steps) if (step.draft().isPresent()) Files.deleteIfExists(step.draft().get());
    }

    /** {@return the places that a journal is about} */
    static List<Path> places(Path journal) {
        return read(journal).stream().map(Step::place).toList();
    }

    private static List<Path> journals(Path folder) {
        return named(folder, JOURNAL);
    }

    private static List<Path> named(Path folder, String ending) {
        if (!Files.isDirectory(folder)) return List.of();
        try (Stream<Path> all = Files.list(folder)) {
            return all.filter(file -> String.valueOf(file.getFileName()).startsWith(BEGIN)
                    && String.valueOf(file.getFileName()).endsWith(ending)).sorted().toList();
        } catch (IOException | UncheckedIOException unreadable) {
            LoggerFactory.getLogger(Handover.class).warn("not listed: {}", folder, unreadable);
            return List.of();
        }
    }

    private String written() throws IOException {
        Properties all = new Properties();
        for (int i = 0; i < steps.size(); i++) {
            Step step = steps.get(i);
            all.setProperty(i + ".draft", step.draft().map(Path::toString).orElse(""));
            all.setProperty(i + ".place", step.place().toString());
            all.setProperty(i + ".aside", step.aside().toString());
            all.setProperty(i + ".wasThere", String.valueOf(step.wasThere()));
        }
        StringWriter text = new StringWriter();
        all.store(text, "What Yellow Tab was putting into place. It is finished when it is next started.");
        return text.toString();
    }

    /** {@return what a journal says is to be done; nothing where it is none} */
    private static List<Step> read(Path journal) {
        Properties all = new Properties();
        try (BufferedReader text = new BufferedReader(new StringReader(Files.readString(journal)))) {
            all.load(text);
            List<Step> steps = new ArrayList<>();
            for (int i = 0; all.containsKey(i + ".place"); i++) {
                String draft = all.getProperty(i + ".draft", "");
                steps.add(new Step(draft.isEmpty() ? Optional.empty() : Optional.of(Path.of(draft)),
                        Path.of(all.getProperty(i + ".place")), Path.of(all.getProperty(i + ".aside")),
                        Boolean.parseBoolean(all.getProperty(i + ".wasThere"))));
            }
            return Collections.unmodifiableList(steps);
        } catch (IOException | IllegalArgumentException damaged) {
            LoggerFactory.getLogger(Handover.class).warn("no journal: {}", journal, damaged);
            return List.of();
        }
    }

    /** Writes a small file whole or not at all, and onto the disk itself. */
    private static void write(Path file, String words) throws IOException {
        Path draft = Drafts.beside(file);
        Files.writeString(draft, words);
        force(draft);
        Drafts.move(draft, file);
    }

    private static void force(Path file) throws IOException {
        try (FileChannel channel = FileChannel.open(file, StandardOpenOption.WRITE)) {
            channel.force(true);
        }
    }
}
