package app.yellowtab.fetch;

import app.yellowtab.carry.CarriedPage;
import app.yellowtab.carry.PageCarrier;
import app.yellowtab.carry.RedactedPicture;
import app.yellowtab.carry.part.CarryNotes;
import app.yellowtab.facts.RecognisedPage;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.input.PdfInput;
import app.yellowtab.input.TooMuchException;
import app.yellowtab.leaf.Content;
import app.yellowtab.mark.Mark;
import app.yellowtab.mark.MarkSetter;
import app.yellowtab.model.Comments;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Plan;
import app.yellowtab.redact.RedactedPages;
import app.yellowtab.source.RecognisedPages;
import app.yellowtab.source.SourceFiles;
import java.io.Closeable;
import java.io.IOException;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import org.jspecify.annotations.Nullable;
import org.slf4j.LoggerFactory;

/**
 * The leaves of a {@link SourceRun}, ready to be written. It is made on one thread and then used on another; its source is
 * open until it is closed. Any thread may cancel it.
 */
public final class ReadySource implements Closeable {
    private static final float PDF_2 = 2.0f;

    private final SourceRun run;
    private final SourceFiles sources;
    private final List<Optional<CarriedPage>> pages = new ArrayList<>();
    private final List<CarryNotes> notes = new ArrayList<>();
    private final SourceSessions sessions;
    private volatile @Nullable PdfInput input;
    private SourceSessions.@Nullable Lent lent;
    private volatile boolean cancelled;
    private volatile boolean isOpen;
    private volatile boolean isAtPages;
    private volatile long steps;
    private boolean isWhole;
    private Optional<RecognisedPages> recognised = Optional.empty();
    private CarryNotes ofFile = new CarryNotes();
    private final BitSet tooMuch = new BitSet();
    private final BitSet notRedacted = new BitSet();

    ReadySource(SourceRun run, SourceFiles sources, SourceSessions sessions) {
        this.run = run;
        this.sources = sources;
        this.sessions = sessions;
    }

    /**
     * Makes the leaves ready. A page that cannot be had is marked as lost, and so are all if the source cannot be opened.
     *
     * @throws FindingException if the source is gone, locked, or not the file any more that was brought in
     */
    void prepare(Plan plan, LeafLookup lookup, MarkSetter setter, BooleanSupplier stop) throws IOException {
        SourceId id = run.source();
        recognised = sessions.recognised(id);
        boolean first = sessions.begin(id);
        PageCarrier carrier;
        try {
            SourceSessions.Lent borrowed = sessions.borrow(id);
            PdfInput opened = borrowed.input();
            lent = borrowed;
            input = opened;
            if (cancelled) opened.cancel();
            isOpen = true;
            if (first && !sources.isUnchanged(id, opened, this::step)) throw sessions.changed(id);
            if (opened.pages().size() != sources.source(id).pageCount()) opened.pages().verified();
            int planned = sources.source(id).pageCount();
            if (opened.pages().size() != planned) {
                throw new FindingException(
                        new Finding(Code.PAGES_MISSING, sources.subject(id, 0), opened.pages().size() + " instead of " + planned),
                        null);
            }
            carrier = opened.whole(
                    () -> new PageCarrier(opened, page -> lookup.targetOf(id, page, run.document()), plan.comments(), setter));
            ofFile = carrier.ofFile();
        } catch (FindingException known) {
            throw known;
        } catch (IOException | RuntimeException | Error e) {
            LoggerFactory.getLogger(ReadySource.class).warn("source lost: {}", sources.original(id), e);
            if (first) sessions.leftUnchecked(id);
            run.leaves().forEach(leaf -> lose(e));
            return;
        }
        isAtPages = true;
        for (int n = 0; n < run.leaves().size(); n++) {
            if (stop.getAsBoolean() || cancelled) return;
            carry(run.page(n), plan.marksOn(run.leaves().get(n)), plan.comments(), carrier);
        }
        isWhole = true;
    }

    private void carry(Content.SourcePage wanted, List<Mark> marks, Comments comments, PageCarrier by) {
        CarryNotes found = new CarryNotes();
        PdfInput open = Objects.requireNonNull(input);
        Optional<RedactedPicture> instead;
        try {
            instead = redacted(wanted, open, comments, by, found);
        } catch (IOException | RuntimeException | Error e) {
            LoggerFactory.getLogger(ReadySource.class).warn("not redacted: {} {}", sources.original(run.source()), wanted.page(),
                    e);
            notRedacted.set(pages.size());
            lose(e);
            return;
        }
        try {
            pages.add(Optional.of(open.page(() -> by.carry(wanted.page(), wanted.look(),
                    instead.isPresent() ? Optional.empty() : words(wanted.page(), found), instead, marks, found))));
            notes.add(found);
            step();
        } catch (IOException | RuntimeException | Error e) {
            LoggerFactory.getLogger(ReadySource.class).warn("page lost: {} {}", sources.original(run.source()), wanted.page(), e);
            lose(e);
        }
    }

    private Optional<RedactedPicture> redacted(Content.SourcePage wanted, PdfInput open, Comments comments, PageCarrier by,
            CarryNotes found) throws IOException {
        if (wanted.look().redactions().isEmpty()) return Optional.empty();
        RedactedPages.Made made =
                new RedactedPages(sources, sessions.recogniser()).page(run.source(), open, by, wanted.page(),
                        wanted.look().redactions(), comments);
        found.add(Code.REDACTED_COARSE, made.isCoarse() ? 1 : 0);
        found.add(Code.REDACTED_WITHOUT, made.picturesMissing());
        found.add(Code.REDACTED_UNREAD, made.isUnread() ? 1 : 0);
        return Optional.of(made.picture());
    }

    /** {@return what was read in a page's picture} Where the bundle names words that are gone, that is noted. */
    private Optional<RecognisedPage> words(int page, CarryNotes found) {
        if (recognised.isEmpty() || !recognised.get().has(page)) return Optional.empty();
        Optional<RecognisedPage> read = recognised.get().page(page);
        found.add(Code.WORDS_GONE, read.isEmpty() ? 1 : 0);
        return read;
    }

    private void step() {
        steps = steps + 1;
    }

    /** {@return a number that grows as long as something is read or made ready; any thread may ask} */
    long progress() {
        PdfInput open = input;
        return steps + (open == null ? 0 : open.readSoFar());
    }

    /** {@return whether its pages are being read, and not only its file opened; any thread may ask} */
    boolean isAtPages() {
        return isAtPages;
    }

    /** {@return whether its file could be opened; any thread may ask} */
    boolean isOpen() {
        return isOpen;
    }

    private void lose(Throwable why) {
        pages.add(Optional.empty());
        notes.add(new CarryNotes());
        if (why instanceof TooMuchException || why instanceof OutOfMemoryError) tooMuch.set(pages.size() - 1);
    }

    /** {@return why the n-th leaf, counted from 0, is lost} */
    public Code lost(int n) {
        if (notRedacted.get(n)) return Code.REDACTION_NOT_MADE;
        return tooMuch.get(n) ? Code.PAGE_TOO_MUCH : Code.PAGE_LOST;
    }

    public SourceRun run() {
        return run;
    }

    /** {@return the n-th leaf of the run, counted from 0; empty if its page is lost} */
    public Optional<CarriedPage> page(int n) {
        return n < pages.size() ? pages.get(n) : Optional.empty();
    }

    /** {@return what happened to the things of the n-th leaf} */
    public CarryNotes notes(int n) {
        return n < notes.size() ? notes.get(n) : new CarryNotes();
    }

    /** {@return what of the file as a whole was left behind} */
    public CarryNotes ofFile() {
        return ofFile;
    }

    public boolean needsPdf2() {
        PdfInput open = input;
        return open != null && open.document().getVersion() >= PDF_2;
    }

    boolean isCancelled() {
        return cancelled;
    }

    /** Makes it give up at its next read. */
    void cancel() {
        cancelled = true;
        PdfInput open = input;
        if (open != null) open.cancel();
    }

    /**
     * Gives the source back once its leaves are written.
     *
     * @throws FindingException if the file has changed meanwhile
     */
    public void finish() throws IOException {
        SourceSessions.Lent borrowed = lent;
        if (borrowed != null && isWhole && sessions.takeUnchecked(run.source())
                && !sources.isUnchanged(run.source(), borrowed.input(), this::step)) {
            throw sessions.changed(run.source());
        }
        if (borrowed != null && isWhole && tooMuch.isEmpty() && pages.stream().allMatch(Optional::isPresent)) {
            lent = null;
            input = null;
            sessions.giveBack(borrowed, run.leaves().size());
        }
        if (isOpen) sessions.verify(run.source());
    }

    @Override
    public void close() throws IOException {
        PdfInput open = input;
        if (open != null) open.close();
    }
}
