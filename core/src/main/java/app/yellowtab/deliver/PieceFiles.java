package app.yellowtab.deliver;

import app.yellowtab.assemble.Outcome;
import app.yellowtab.assemble.PieceWriter;
import app.yellowtab.cut.PieceNames.Named;
import app.yellowtab.cut.PieceWords;
import app.yellowtab.cut.Pieces;
import app.yellowtab.deliver.CutReport.Made;
import app.yellowtab.deliver.Wanted.Mails;
import app.yellowtab.files.Drafts;
import app.yellowtab.files.FileNames;
import app.yellowtab.files.Folders;
import app.yellowtab.files.WorkFolder;
import app.yellowtab.find.BundleWords;
import app.yellowtab.find.PieceLeaks;
import app.yellowtab.finding.DiskFull;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Progress;
import app.yellowtab.finding.Subject;
import app.yellowtab.model.Comments;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.cut.BatchOrder;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Plan;
import app.yellowtab.sets.PiecePlanner;
import app.yellowtab.source.SourceFiles;
import app.yellowtab.words.BatchPage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.BooleanSupplier;
import java.util.function.IntFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.slf4j.LoggerFactory;

/**
 * Writes the pieces of a batch in a folder of their own: as files, attached to drafted e-mails, or both, with a table of what
 * became of every page.
 */
public final class PieceFiles {
    /** The table beside the pieces. */
    public static final String TABLE = "cuts.csv";
    static final String ENDING = ".pdf";
    private static final String MAIL = ".eml";

    private final SourceFiles sources;
    private final CutReport report;
    private final Comments comments;
    private final Wanted wanted;
    private final PieceWords words;

    /**
     * @param report what is known before anything is written
     * @param pages  of the batch, as they are seen, for what e-mails say of them
     */
    public PieceFiles(SourceFiles sources, CutReport report, List<BatchPage> pages, Comments comments, Wanted wanted) {
        if (report.names().size() != report.cutting().pieces().size())
            throw new IllegalArgumentException("as many names as pieces are needed");
        this.sources = sources;
        this.report = report;
        this.comments = comments;
        this.wanted = wanted;
        this.words = new PieceWords(pages, report.cutting(), report.names(), report.batch().fileName());
    }

    /**
     * {@return where the pieces would still say what is redacted in a bundle: on pages, in names, in e-mails}
     *
     * @param plan    of the bundle
     * @param ofBundle its words
     * @param stop    asked at every page
     */
    public List<Finding> leaks(Plan plan, BundleWords ofBundle, BooleanSupplier stop) {
        List<PieceLeaks.Said> said = new ArrayList<>();
        String of = " of " + report.batch().fileName();
        for (int i = 0; i < report.names().size(); i++) {
            int piece = i;
            said.add(new PieceLeaks.Said("The name of piece " + (i + 1) + of, report.names().get(i).words()));
            wanted.mails().filter(Mails::oneEach).ifPresent(mails -> {
                said.add(new PieceLeaks.Said("The subject of the e-mail with piece " + (piece + 1) + of,
                        filled(mails.subject(), piece)));
                said.add(new PieceLeaks.Said("The e-mail with piece " + (piece + 1) + of, filled(mails.text(), piece)));
            });
        }
        wanted.mails().filter(mails -> !mails.oneEach()).ifPresent(mails -> {
            said.add(new PieceLeaks.Said("The subject of the e-mail with all pieces" + of, filled(mails.subject(), -1)));
            said.add(new PieceLeaks.Said("The e-mail with all pieces" + of, filled(mails.text(), -1)));
        });
        return PieceLeaks.in(plan, ofBundle, report.cut(), new BundleWords(sources), said, stop);
    }

    /**
     * What was written.
     *
     * @param report   what became of every page
     * @param isWhole  whether that is all; otherwise it was stopped, and the report tells of those that there are
     * @param findings what must be known of them
     */
    public record Written(Path folder, CutReport report, int pages, boolean isWhole, List<Finding> findings) {
        public Written {
            findings = List.copyOf(findings);
        }

        /** {@return how many pieces were written} */
        public int pieces() {
            return (int) report.made().stream().filter(its -> its.bytes() > 0).count();
        }

        /** {@return how many bytes the pieces take} */
        public long bytes() {
            return report.made().stream().mapToLong(Made::bytes).sum();
        }
    }

    /**
     * Writes what is wanted, and the table last.
     *
     * @param folder made if it is not there; must be empty
     * @throws FindingException if the batch cannot be read or the folder not be written; pieces that were written are there
     *         still, and the table tells of them
     */
    public Written write(Path folder, Progress progress, BooleanSupplier stop) throws FindingException {
        begin(folder);
        List<Made> made = new ArrayList<>();
        try {
            Path place = wanted.files() ? folder : WorkFolder.newFolder("pieces");
            try {
                return write(folder, place, made, progress, stop);
            } finally {
                if (!wanted.files()) Folders.delete(place);
            }
        } catch (FindingException known) {
            throw known;
        } catch (IOException e) {
            throw failure(folder, String.valueOf(e.getMessage()), e);
        } finally {
            table(folder, made);
        }
    }

    /** @param place where the PDFs are written: where they stay, or where they are only until they are attached */
    private Written write(Path folder, Path place, List<Made> made, Progress progress, BooleanSupplier stop) throws IOException {
        Source batch = report.batch();
        Map<SourceId, Source> from = report.sources().stream().collect(Collectors.toMap(Source::id, source -> source));
        int total = BatchOrder.singles(report.cut()).size();
        List<Plan> plans = new ArrayList<>();
        for (Document piece : Pieces.documents(report.cut(), report.cutting(), report.names()))
            plans.add(PiecePlanner.plan(piece, from, comments, Integer.MAX_VALUE));
        FileNames names = new FileNames();
        names.take(TABLE);
        boolean eachMailed = wanted.mails().filter(Mails::oneEach).isPresent();
        List<Path> files = new ArrayList<>();
        List<Path> mails = new ArrayList<>();
        for (Named named : report.names()) {
            files.add(place.resolve(names.next(named.words(), ENDING)));
            if (eachMailed) mails.add(folder.resolve(names.next(named.words(), MAIL)));
        }
        AtomicInteger pages = new AtomicInteger();
        AtomicBoolean ended = new AtomicBoolean();
        try (PieceWriter writer = new PieceWriter(sources, plans)) {
            IntFunction<Callable<Optional<Made>>> piece = i -> () -> {
                int[] before = {0};
                Outcome outcome = writer.write(plans.get(i), files.get(i), (done, of) -> {
                    progress.report(pages.addAndGet(done - before[0]), total);
                    before[0] = done;
                }, () -> ended.get() || stop.getAsBoolean());
                if (!(outcome instanceof Outcome.Written one)) return Optional.empty();
                if (eachMailed) mail(mails.get(i), i, List.of(files.get(i)));
                if (eachMailed && !wanted.files()) Files.delete(files.get(i));
                return Optional.of(new Made(wanted.files() ? String.valueOf(files.get(i).getFileName()) : "",
                        eachMailed ? String.valueOf(mails.get(i).getFileName()) : "", one.bytes()));
            };
            boolean whole = all(plans.size(), piece, made, ended);
            if (whole && wanted.mails().isPresent() && !eachMailed) {
                Path mail = folder.resolve(names.next("All of " + batch.fileName(), MAIL));
                mail(mail, -1, files);
                made.replaceAll(its -> new Made(its.file(), String.valueOf(mail.getFileName()), its.bytes()));
            }
            return new Written(folder, report.with(made), pages.get(), whole, writer.findings());
        }
    }

    /**
     * Has all pieces written: the first alone, since the batch is checked with it, the others side by side.
     *
     * @param made  takes what comes of them, in order
     * @param ended is set where one could not be written, so that no other is begun
     * @return whether all were written
     */
    private static boolean all(int count, IntFunction<Callable<Optional<Made>>> piece, List<Made> made, AtomicBoolean ended)
            throws IOException {
        @Nullable IOException failure = null;
        boolean whole = true;
        try (ExecutorService hands = Executors.newFixedThreadPool(Runtime.getRuntime().availableProcessors(),
                Thread.ofPlatform().daemon().name("pieces-", 1).factory())) {
            List<Future<Optional<Made>>> underway = new ArrayList<>();
            for (int i = 0; i < count; i++) {
                Callable<Optional<Made>> one = piece.apply(i);
                underway.add(hands.submit(() -> ended.get() ? Optional.empty() : orEnd(one, ended)));
                // What comes of it is asked for below, with the others.
                if (i == 0) settle(underway.getFirst());
            }
            for (Future<Optional<Made>> each : underway) {
                try {
                    Optional<Made> its = each.get();
                    made.add(its.orElse(Made.NOTHING));
                    whole &= its.isPresent();
                } catch (ExecutionException e) {
                    made.add(Made.NOTHING);
                    if (failure == null)
                        failure = e.getCause() instanceof IOException cause ? cause : new IOException(e.getCause());
                }
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException("interrupted", e);
        }
        if (failure != null) throw failure;
        return whole;
    }

    /** Has a piece written; where it is not, no other is begun: a disk that is full stays full. */
    private static Optional<Made> orEnd(Callable<Optional<Made>> piece, AtomicBoolean ended) throws Exception {
        boolean written = false;
        try {
            Optional<Made> made = piece.call();
            written = made.isPresent();
            return made;
        } finally {
            if (!written) ended.set(true);
        }
    }

    private static void settle(Future<?> first) throws InterruptedException {
        try {
            first.get();
        } catch (ExecutionException e) {
            LoggerFactory.getLogger(PieceFiles.class).debug("the first piece could not be written", e);
        }
    }

    /**
     * Writes an e-mail.
     *
     * @param piece that it is about, counted from 0; less for all
     */
    private void mail(Path target, int piece, List<Path> files) throws IOException {
        Mails mails = wanted.mails().orElseThrow();
        Path draft = Drafts.beside(target);
        try {
            new MailDraft(mails.to(), filled(mails.subject(), piece), filled(mails.text(), piece), files).write(draft);
            Files.move(draft, target);
        } finally {
            Files.deleteIfExists(draft);
        }
    }

    private String filled(String text, int piece) {
        return piece < 0 ? words.ofAll(text) : words.ofPiece(text, piece);
    }

    private static void begin(Path folder) throws FindingException {
        try {
            Files.createDirectories(folder);
            try (Stream<Path> there = Files.list(folder)) {
                if (there.findAny().isPresent()) throw failure(folder, "there are files in it already", null);
            }
        } catch (FindingException known) {
            throw known;
        } catch (IOException e) {
            throw failure(folder, String.valueOf(e.getMessage()), e);
        }
    }

    private static FindingException failure(Path target, String detail, @Nullable IOException cause) {
        Code code = cause != null && DiskFull.is(cause, target) ? Code.NO_SPACE : Code.TARGET_NOT_WRITABLE;
        return new FindingException(new Finding(code, Subject.OfProduced.of(target, 0), detail), cause);
    }

    private void table(Path folder, List<Made> made) throws FindingException {
        try {
            Files.writeString(folder.resolve(TABLE), report.with(made).table());
        } catch (IOException e) {
            throw failure(folder.resolve(TABLE), String.valueOf(e.getMessage()), e);
        }
    }
}
