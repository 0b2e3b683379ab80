package app.yellowtab.intake;

import app.yellowtab.convert.Converter;
import app.yellowtab.convert.LockedException;
import app.yellowtab.convert.mail.Mail;
import app.yellowtab.convert.page.TooLargeException;
import app.yellowtab.facts.About;
import app.yellowtab.facts.Note;
import app.yellowtab.facts.Origin;
import app.yellowtab.facts.PageFacts;
import app.yellowtab.facts.PageSet;
import app.yellowtab.facts.Way;
import app.yellowtab.finding.DiskFull;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.index.SlipWords;
import app.yellowtab.input.OtherLockException;
import app.yellowtab.input.PdfInput;
import app.yellowtab.inspect.FileEnd;
import app.yellowtab.inspect.FileProperties;
import app.yellowtab.inspect.Inspection;
import app.yellowtab.model.Reading;
import app.yellowtab.model.contents.Contents;
import app.yellowtab.model.source.ConversionKey;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.model.source.SourceKind;
import app.yellowtab.source.Depot;
import app.yellowtab.source.Fingerprint;
import app.yellowtab.source.SourceFiles;
import java.io.EOFException;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.zip.ZipException;
import org.apache.pdfbox.pdmodel.encryption.InvalidPasswordException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Brings files in: each is recognised by its content, kept, converted if it is no PDF, and inspected; what lies inside
 * archives, e-mails and PDFs is brought in as well. A file whose pages cannot be had stays, with a page that names it; it
 * never stops the rest. Files are read on several threads, and come out in the order in which they were found.
 */
public final class Intake {
    private static final Logger LOG = LoggerFactory.getLogger(Intake.class);

    private static final int MOST_THREADS = 6;

    private final Depot depot;
    private final List<String> passwords;
    private final Reading reading;
    private final int threads;
    private final KindReader kinds = new KindReader();

    public Intake(Depot depot) {
        this(depot, List.of(), Reading.STANDARD);
    }

    /**
     * @param passwords to try on locked files, in order
     * @param reading   what the user has chosen
     */
    public Intake(Depot depot, List<String> passwords, Reading reading) {
        this(depot, passwords, reading, Math.clamp(Runtime.getRuntime().availableProcessors(), 2, MOST_THREADS));
    }

    private Intake(Depot depot, List<String> passwords, Reading reading, int threads) {
        this.depot = depot;
        this.passwords = List.copyOf(passwords);
        this.reading = reading;
        this.threads = threads;
    }

    /** {@return an intake as above that leaves one of the machine's cores to a window, so that this goes on answering} */
    public static Intake besideWindow(Depot depot, List<String> passwords, Reading reading) {
        return new Intake(depot, passwords, reading, Math.clamp(Runtime.getRuntime().availableProcessors() - 1, 1, MOST_THREADS));
    }

    /**
     * Brings in all that was found.
     *
     * @param progress is told of each file
     * @param stop     asked before each file; what was brought in by then is returned
     */
    public Taken bringIn(FoundFolder found, Listener progress, BooleanSupplier stop) {
        return new IntakeRun(this, threads, depot, passwords, progress, stop).run(found);
    }

    /**
     * Brings in what lies inside a file that was brought in before, and could not be opened then.
     *
     * @param source   the file as it is read now
     * @param original where it lies
     */
    public Taken bringInside(Source source, Path original, BooleanSupplier stop) {
        return new IntakeRun(this, 1, depot, passwords, Listener.NONE, stop).inside(source, original);
    }

    /**
     * What came of it.
     *
     * @param sources  everything that was kept, unread files among it
     * @param contents the documents and sections that the folders suggest; every source that was read is a document in them
     * @param findings what must be said, and a finding for each file that was not read
     */
    public record Taken(List<Source> sources, Contents contents, List<Finding> findings) {
        public Taken {
            sources = List.copyOf(sources);
            findings = List.copyOf(findings);
        }
    }

    /** Is told how far an intake is. Called on several threads, one at a time. */
    @FunctionalInterface
    public interface Listener {
        /** Hears nothing. */
        Listener NONE = (done, total, name) -> {};

        /**
         * Hears of a file that is about to be read.
         *
         * @param total how many there are, as far as is known: files inside others are found on the way
         * @param name  the file that comes next
         */
        void report(int done, int total, String name);

        /** Hears of a file that has been brought in. */
        default void arrived(Source source) {}
    }

    /** What became of one file. */
    sealed interface Result {
        /** It was kept; {@code findings} say what there is to say. */
        record Kept(Source source, List<Finding> findings) implements Result {}

        /** There is nothing to keep. */
        record Refused(Finding finding) implements Result {}

        /** It is opened like a folder. */
        record Archive() implements Result {}
    }

    /** Brings in one file, without what lies inside it. */
    Result read(Path file) {
        try {
            if (!Files.isReadable(file)) return new Result.Refused(Finding.of(Code.NOT_READABLE, file));
            if (!Files.isRegularFile(file)) return new Result.Refused(Finding.of(Code.KIND_NOT_READ, file, "no ordinary file"));
            if (Files.size(file) == 0)
                return keepUnread(file, nameOf(file), SourceKind.OTHER, depot.keep(file), Finding.of(Code.EMPTY_FILE, file));
            KindReader.Recognised recognised = kinds.read(file);
            if (recognised.archive()) return new Result.Archive();
            if (recognised.kind().isEmpty()) return keepUnread(file, nameOf(file), SourceKind.OTHER, depot.keep(file),
                    Finding.of(Code.KIND_NOT_READ, file, recognised.words()));
            return keep(file, recognised.kind().get());
        } catch (IOException e) {
            LOG.warn("not read: {}", file, e);
            return new Result.Refused(Finding.of(DiskFull.is(e, depot.place()) ? Code.NO_ROOM : Code.NOT_READABLE, file));
        }
    }

    /**
     * What came of reading a file anew.
     *
     * @param before the source as it was when reading began
     * @param after  as it is read now; the same where it could not be read
     */
    public record Reread(Source before, Source after) {
        public SourceId source() {
            return before.id();
        }

        /** {@return whether its pages can be had now} */
        public boolean isRead() {
            return after.isRead();
        }

        /**
         * {@return a source as it is when this becomes known, with the pages of now; what the user typed of it meanwhile stays}
         */
        public Source in(Source now) {
            return after == before ? now : anew(now, after);
        }
    }

    /** Reads a file anew that was kept before, with other passwords or choices. */
    public Reread readAgain(Source source, SourceFiles files) throws IOException {
        Path original = files.original(source.id());
        Depot.Kept kept = new Depot.Kept(source.storedName(), original, source.bytes(),
                new Fingerprint.Both(source.sha256(), source.checksum()));
        KindReader.Recognised recognised = kinds.read(original);
        boolean known = recognised.kind().isPresent();
        if (!known || !(read(original, source.fileName(), recognised.kind().get(), kept) instanceof Result.Kept again)) {
            return new Reread(source, source);
        }
        return new Reread(source, anew(source, again.source()));
    }

    /** {@return a source with what is known of its file now} */
    private static Source anew(Source source, Source fresh) {
        About was = source.about();
        About about = new About(fresh.about().way(), fresh.about().trouble(), fresh.about().notes(), was.attachedTo(),
                fresh.about().titleFrom(), fresh.about().dateFrom(),
                was.modified(), fresh.about().made(), was.alikeAccepted(), fresh.about().pages(), "",
                fresh.about().lengthSeconds());
        Source read = new Source(source.id(), source.fileName(), source.storedName(), fresh.kind(), source.bytes(),
                source.sha256(), source.checksum(), fresh.pageCount(), fresh.bookmarks(),
                fresh.proposedTitle(), fresh.proposedDate(), about, fresh.conversion());
        if (was.titleFrom() == Origin.USER) read = read.withTitle(source.proposedTitle(), Origin.USER);
        // A date from the properties is never proposed, so that the user has taken it.
        return was.dateFrom() == Origin.USER || was.dateFrom() == Origin.PROPERTIES
                ? read.withDate(source.proposedDate(), was.dateFrom()) : read;
    }

    private Result keep(Path file, SourceKind kind) throws IOException {
        return read(file, nameOf(file), kind, depot.keep(file));
    }

    private Result read(Path file, String name, SourceKind kind, Depot.Kept kept) throws IOException {
        Finding trouble;
        try {
            List<Finding> findings = new ArrayList<>();
            Path pages = kept.path();
            Way way = Way.AS_IT_IS;
            Optional<ConversionKey> conversion = Optional.empty();
            if (kind.isConverted()) {
                Path draft = depot.conversionDraft();
                try {
                    way = Converter.convert(kept.path(), file, kind, draft, passwords, reading, findings);
                    conversion = Optional.of(Converter.key(kept.fingerprint().sha256(), kind, way, reading));
                    pages = depot.keepConversion(draft, conversion.get());
                } finally {
                    Files.deleteIfExists(draft);
                }
            }
            try (PdfInput input = PdfInput.open(pages, passwords)) {
                Inspection read = Inspection.of(input);
                Inspection inspection = kind.isConverted()
                        ? read.withProperties(FileProperties.of(kept.path(), kind, reading.zoneInUse())) : read;
                if (inspection.pageCount() > 0)
                    return new Result.Kept(source(file, name, kind, kept, inspection, way, conversion, findings), findings);
            }
            trouble = Finding.of(Code.NO_PAGES, file);
        } catch (InvalidPasswordException | LockedException e) {
            trouble = Finding.of(Code.PASSWORD_NEEDED, file);
        } catch (OtherLockException e) {
            trouble = Finding.of(e.isToCertificate() ? Code.LOCKED_TO_CERTIFICATE : Code.LOCKED_OTHERWISE, file);
        } catch (TooLargeException e) {
            trouble = Finding.of(Code.TOO_LARGE, file, e.getMessage());
        } catch (IOException e) {
            LOG.warn("damaged: {}", file, e);
            if (DiskFull.is(e, depot.place())) {
                depot.drop(kept);
                return new Result.Refused(Finding.of(Code.NO_ROOM, file));
            }
            trouble = unreadable(file, kind, e);
        } catch (OutOfMemoryError e) {
            LOG.warn("too large: {}", file, e);
            trouble = Finding.of(Code.TOO_LARGE, file, "it takes more memory than there is");
        } catch (RuntimeException | Error e) {
            LOG.warn("damaged: {}", file, e);
            trouble = unreadable(file, kind, e);
        }
        return keepUnread(file, name, kind, kept, trouble);
    }

    /**
     * Of a PDF or a picture that cannot be read something is broken; of other files it may be that our own conversion is at
     * fault.
     */
    private static Finding unreadable(Path file, SourceKind kind, Throwable why) {
        boolean ours =
                kind.isConverted() && !kind.isPicture() && !(why instanceof EOFException) && !(why instanceof ZipException);
        String words = why instanceof IOException && why.getMessage() != null && why.getMessage().length() < 90 ? why.getMessage()
                : "its pages cannot be made out";
        return ours ? Finding.of(Code.NOT_CONVERTED, file, words)
                : Finding.of(Code.DAMAGED, file, kind.isPicture() ? words : "its pages cannot be made out");
    }

    private Source source(Path file, String name, SourceKind kind, Depot.Kept kept, Inspection inspection, Way way,
            Optional<ConversionKey> conversion, List<Finding> findings) throws IOException {
        Proposals proposed =
                kind.isMail()
                        ? Proposals.ofMail(name,
                                kind == SourceKind.EML ? Mail.readEml(kept.path())
                                        : Mail.readMsg(kept.path(), reading.zoneInUse()),
                                reading.monthFirst())
                        : Proposals.of(name, isTable(kind) ? inspection.withoutFirstPage() : inspection, reading.monthFirst());
        boolean damaged = kind == SourceKind.PDF && isDamaged(file, kept.path(), inspection, findings);
        PageFacts pages = damaged ? inspection.facts().asRepaired() : inspection.facts();
        About about = new About(way, Optional.empty(), findings.stream().map(Note::of).toList(), "", proposed.titleFrom(),
                proposed.dateFrom(), modified(file), inspection.properties().made(), false, pages, "", 0);
        return new Source(SourceId.fresh(), name, kept.storedName(), kind, kept.bytes(), kept.fingerprint().sha256(),
                kept.fingerprint().checksum(), inspection.pageCount(),
                inspection.bookmarks(), proposed.title(), proposed.date(), about, conversion);
    }

    /** Says what is broken in a PDF that could be read all the same. */
    private static boolean isDamaged(Path file, Path kept, Inspection inspection, List<Finding> findings) throws IOException {
        FileEnd end = FileEnd.of(kept);
        if (end == FileEnd.MISSING) findings.add(Finding.of(Code.BREAKS_OFF, file));
        if (end == FileEnd.LEADS_NOWHERE) findings.add(Finding.of(Code.REBUILT, file));
        if (!inspection.damaged().equals(PageSet.NONE)) findings.add(Finding.of(Code.PART_LOST, file,
                (inspection.damaged().count() == 1 ? "page " : "pages ") + inspection.damaged().shown()));
        if (!inspection.excessive().equals(PageSet.NONE)) {
            findings.add(Finding.of(Code.PAGES_TOO_MUCH, file,
                    (inspection.excessive().count() == 1 ? "page " : "pages ") + inspection.excessive().shown()));
        }
        return end != FileEnd.WHOLE || !inspection.damaged().equals(PageSet.NONE);
    }

    /** A file whose pages cannot be had is kept all the same, and a page that names it stands for it. */
    private Result keepUnread(Path file, String name, SourceKind kind, Depot.Kept kept, Finding trouble) throws IOException {
        NameReading named = NameReading.ofFile(name, reading.monthFirst());
        About about = new About(Way.SLIP, Optional.of(Note.of(trouble)), List.of(), "", Origin.FILE_NAME, Origin.FILE_NAME,
                modified(file), Optional.empty(), false, PageFacts.UNKNOWN, "",
                trouble.code() == Code.KIND_NOT_READ ? FileProperties.lengthSeconds(kept.path()) : 0);
        List<String> lines = SlipWords.unread(name, kept.bytes(), kept.fingerprint().sha256());
        Source source = new Source(SourceId.fresh(), name, kept.storedName(), kind, kept.bytes(), kept.fingerprint().sha256(),
                kept.fingerprint().checksum(), 1, List.of(),
                named.title(), named.date(), about, Optional.of(Converter.slipKey(lines)));
        Path draft = depot.conversionDraft();
        Converter.writeSlip(draft, lines);
        depot.keepConversion(draft, Converter.slipKey(lines));
        return new Result.Kept(source, List.of(trouble));
    }

    /** The first day in a table is one of its values, and no date of the table. */
    private static boolean isTable(SourceKind kind) {
        return kind == SourceKind.XLSX || kind == SourceKind.XLS || kind == SourceKind.ODS || kind == SourceKind.CSV;
    }

    private static Optional<Instant> modified(Path file) {
        try {
            return Optional.of(Files.getLastModifiedTime(file).toInstant().truncatedTo(ChronoUnit.SECONDS));
        } catch (IOException gone) {
            return Optional.empty();
        }
    }

    static String nameOf(Path file) {
        return String.valueOf(file.getFileName());
    }
}
