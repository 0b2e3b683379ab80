package app.yellowtab.desktop.work;

import app.yellowtab.edit.Edits;
import app.yellowtab.finding.Finding;
import app.yellowtab.intake.Recognition;
import app.yellowtab.leaf.Content;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.RecognitionChoice;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.recognise.TextRecogniser;
import app.yellowtab.source.RecognisedPages;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.util.Subscription;
import org.jspecify.annotations.Nullable;
import org.slf4j.LoggerFactory;

/**
 * Reads the words of scans in the background, one file after the other: that which is in view first, then the newest. What was
 * read is learned of the file, and is no step that could be undone. Knows no node.
 */
public final class Recognising {
    /** Half of the processors are left to the window and to whatever else is wanted. */
    private static final int THREADS = Math.max(1, Runtime.getRuntime().availableProcessors() / 2);

    /** Starts the engine. */
    @FunctionalInterface
    public interface Engines {
        /** @throws IOException if it does not run on this computer, or a language cannot be had */
        TextRecogniser start(List<String> languages) throws IOException;
    }

    /** How it stands. */
    public sealed interface RecognitionState {
        /** Nothing is to be read. */
        record Idle() implements RecognitionState {}

        /** @param left how many pages are still to be read, in all files */
        record Running(SourceId source, int left) implements RecognitionState {}

        /** @param left how many pages are still to be read, in all files */
        record Paused(int left) implements RecognitionState {}

        /** The engine does not run; everything else works. */
        record Unavailable(String message) implements RecognitionState {}
    }

    private final Workspace workspace;
    private final Engines engines;
    private final ReadOnlyObjectWrapper<RecognitionState> state =
            new ReadOnlyObjectWrapper<>(this, "state", new RecognitionState.Idle());
    private final Subscription subscription;
    /** Files of which something failed; they are not tried again until the bundle is opened anew. */
    private final Set<SourceId> givenUp = new HashSet<>();
    private final AtomicInteger done = new AtomicInteger();
    private final AtomicBoolean told = new AtomicBoolean();
    private volatile boolean stopped;
    private boolean paused;
    private volatile boolean closed;
    private List<Source> known = List.of();
    private Optional<SourceId> reading = Optional.empty();
    private volatile @Nullable TextRecogniser engine;
    private RecognitionChoice by;

    public Recognising(Workspace workspace, Engines engines) {
        this.workspace = workspace;
        this.engines = engines;
        this.by = workspace.bundle().recognition();
        subscription = workspace.onBundle(this::changed);
    }

    /** {@return how it stands} */
    public ReadOnlyObjectProperty<RecognitionState> stateProperty() {
        return state.getReadOnlyProperty();
    }

    /** {@return how many pages of a source are still to be read; 0 where none are, or it is switched off} */
    public int left(Source source) {
        if (!workspace.bundle().recognition().isOn() || state.get() instanceof RecognitionState.Unavailable
                || givenUp.contains(source.id()))
            return 0;
        int wanted = wanted(source);
        return reading.filter(source.id()::equals).isPresent() ? Math.max(0, wanted - done.get()) : wanted;
    }

    private static int wanted(Source source) {
        return source.about().recognised().isEmpty() ? RecognisedPages.wanted(source).cardinality() : 0;
    }

    /** Holds on after the page that is being read. */
    public void pause() {
        paused = true;
        stopped = true;
        show();
    }

    /** Goes on. */
    public void goOn() {
        paused = false;
        next();
    }

    /** Ends; what was read by now is kept. */
    public void dispose() {
        closed = true;
        stopped = true;
        subscription.unsubscribe();
        TextRecogniser running = engine;
        if (running != null) close(running);
    }

    private void changed(Bundle bundle) {
        // Most edits are of titles and places, and wake nothing here.
        if (bundle.sources() == known && bundle.recognition().equals(by)) return;
        known = bundle.sources();
        if (!bundle.recognition().equals(by)) {
            by = bundle.recognition();
            stopped = true;
            givenUp.clear();
        }
        if (state.get() instanceof RecognitionState.Unavailable && by.equals(bundle.recognition()) && givenUp.isEmpty())
            state.set(new RecognitionState.Idle());
        next();
    }

    private void next() {
        if (reading.isPresent() || closed) return;
        if (paused || !by.isOn() || state.get() instanceof RecognitionState.Unavailable) {
            show();
            return;
        }
        Optional<Source> next = choose();
        if (next.isPresent()) {
            read(next.get());
            return;
        }
        // Its processes take memory that nobody needs until the next scan comes.
        TextRecogniser idle = engine;
        engine = null;
        if (idle != null) close(idle);
        show();
    }

    private Optional<Source> choose() {
        List<Source> waiting = new ArrayList<>();
        for (Source source : workspace.bundle().sources())
            if (!givenUp.contains(source.id()) && wanted(source) > 0) waiting.add(source);
        Optional<SourceId> seen = workspace.plan().leaf(workspace.leaf()).content() instanceof Content.SourcePage page
                ? Optional.of(page.source()) : Optional.empty();
        return waiting.stream().filter(source -> seen.filter(source.id()::equals).isPresent()).findFirst()
                .or(() -> waiting.isEmpty() ? Optional.empty() : Optional.of(waiting.getLast()));
    }

    /** What came of a file. */
    private record Read(Optional<UnaryOperator<Source>> lesson, List<Finding> findings, boolean failed,
            Optional<String> noEngine) {}

    private void read(Source source) {
        reading = Optional.of(source.id());
        stopped = false;
        done.set(0);
        show();
        boolean monthFirst = workspace.bundle().reading().monthFirst();
        RecognitionChoice choice = by;
        workspace.jobs().quietly(() -> work(source, choice, monthFirst), read -> {
            reading = Optional.empty();
            if (closed) return;
            read.noEngine().ifPresent(message -> state.set(new RecognitionState.Unavailable(message)));
            if (read.failed()) givenUp.add(source.id());
            workspace.findings().addAll(read.findings());
            if (read.lesson().isPresent() && choice.equals(by))
                workspace.learn(bundle -> bundle.sourcesById().containsKey(source.id())
                        ? Edits.changeSources(bundle, Map.of(source.id(), read.lesson().get())) : bundle);
            next();
        }, failure -> {
            reading = Optional.empty();
            givenUp.add(source.id());
            if (!closed) next();
        });
    }

    private Read work(Source source, RecognitionChoice choice, boolean monthFirst) {
        TextRecogniser with;
        try {
            with = engine(choice);
        } catch (IOException | RuntimeException | Error none) {
            LoggerFactory.getLogger(Recognising.class).warn("no engine", none);
            return new Read(Optional.empty(), List.of(), true, Optional.of(String.valueOf(none.getMessage())));
        }
        try {
            Recognition recognition =
                    new Recognition(workspace.folder(), workspace.folder().recognisedFolder().orElseThrow(), with, THREADS);
            Recognition.Done result = recognition.read(source.id(), (page, of) -> {
                done.set(page);
                if (!told.getAndSet(true)) workspace.jobs().later(() -> {
                    told.set(false);
                    show();
                });
            }, () -> stopped);
            if (result.list().isEmpty()) return new Read(Optional.empty(), recognition.findings(source.id(), result),
                    !result.lost().isEmpty(), Optional.empty());
            return new Read(Optional.of(recognition.lesson(source.id(), result, monthFirst)),
                    recognition.findings(source.id(), result), false, Optional.empty());
        } catch (IOException | RuntimeException | Error lost) {
            LoggerFactory.getLogger(Recognising.class).warn("not recognised: {}", source.fileName(), lost);
            return new Read(Optional.empty(), List.of(new Finding(Finding.Code.NOT_RECOGNISED,
                    workspace.folder().subject(source.id(), 0), String.valueOf(lost.getMessage()))), true, Optional.empty());
        }
    }

    /** The engine stays for the next file, unless other languages are wanted. Called by one file at a time. */
    private TextRecogniser engine(RecognitionChoice choice) throws IOException {
        TextRecogniser known = engine;
        if (known != null && known.languages().equals(String.join("+", choice.languages()))) return known;
        if (known != null) close(known);
        TextRecogniser fresh = engines.start(choice.languages());
        engine = fresh;
        if (closed) close(fresh);
        return fresh;
    }

    private static void close(TextRecogniser engine) {
        try {
            engine.close();
        } catch (IOException e) {
            LoggerFactory.getLogger(Recognising.class).warn("not closed", e);
        }
    }

    private void show() {
        if (state.get() instanceof RecognitionState.Unavailable) return;
        int left = workspace.bundle().sources().stream().mapToInt(this::left).sum();
        if (paused && left > 0) state.set(new RecognitionState.Paused(left));
        else state.set(reading.<RecognitionState>map(source -> new RecognitionState.Running(source, left))
                .orElseGet(RecognitionState.Idle::new));
    }
}
