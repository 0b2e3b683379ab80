package app.yellowtab.assemble;

import app.yellowtab.fetch.SourceSessions;
import app.yellowtab.files.Drafts;
import app.yellowtab.files.Handover;
import app.yellowtab.files.Interrupted;
import app.yellowtab.files.TargetLock;
import app.yellowtab.finding.DiskFull;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Progress;
import app.yellowtab.finding.Subject;
import app.yellowtab.ledger.Ledger;
import app.yellowtab.ledger.LedgerFinder;
import app.yellowtab.ledger.LedgerPlace;
import app.yellowtab.ledger.LedgerWriter;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.output.DraftFile;
import app.yellowtab.plan.Plan;
import app.yellowtab.source.SourceFiles;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;

/** Drafts bundle and ledger beside the target, and moves them into place. Stateless; each assembly is an {@link AssemblyRun}. */
final class StreamingAssembler implements Assembler {
    /** A run of a source's leaves is ready in well under a second; what takes this long never ends. Chosen by us. */
    static final Duration LIMIT = Duration.ofSeconds(90);

    private final DraftOpener opener;
    private final Handover.Mover mover;
    private final Duration limit;

    StreamingAssembler() {
        this(DraftFile::open, Drafts::move, LIMIT);
    }

    /**
     * For tests.
     *
     * @param opener opens the draft for writing; a test passes a full disk
     * @param mover  moves a draft into place; a test refuses, as Windows does while a viewer holds the target
     * @param limit  how long nothing may come from a source before it is given up
     */
    StreamingAssembler(DraftOpener opener, Handover.Mover mover, Duration limit) {
        this.opener = opener;
        this.mover = mover;
        this.limit = limit;
    }

    @Override
    public Outcome deliver(Delivery delivery, SourceFiles sources, Progress progress, BooleanSupplier stop)
            throws FindingException {
        for (Delivery.File file : delivery.files()) {
            if (file.plan().documentCount() == 0) throw failure(Code.NOTHING_TO_PRODUCE, file.target(), "", null);
            if (sources.isOriginal(file.target())) throw failure(Code.TARGET_IS_SOURCE, file.target(), "", null);
            AssemblyRun.refuseUnseen(file.plan(), file.output(), sources);
            checkFolder(file.target());
        }
        makeReady(delivery.ledger(), sources);
        List<Path> targets = delivery.files().stream().map(Delivery.File::target).toList();
        try {
            return TargetLock.holding(targets, () -> {
                for (Path target : targets) Interrupted.finish(target, true);
                return draftAndMove(delivery, sources, progress, stop);
            });
        } catch (FindingException known) {
            throw known;
        } catch (IOException e) {
            throw targetFailure(targets.getFirst(), e);
        } catch (JacksonException e) {
            // The JSON library's own wrapping of a failure to write the ledger.
            throw targetFailure(targets.getFirst(),
                    e.getCause() instanceof IOException cause ? cause : new IOException(e.getMessage(), e));
        }
    }

    private Outcome draftAndMove(Delivery delivery, SourceFiles sources, Progress progress, BooleanSupplier stop)
            throws IOException {
        Path name = delivery.name();
        LedgerPlace place = delivery.ledger();
        Path first = delivery.files().getFirst().target();
        Path before = Stream.concat(delivery.files().stream().map(Delivery.File::target), Stream.of(name))
                .map(target -> LedgerFinder.find(target, place.folders())).filter(Files::exists).findFirst()
                .orElse(Ledger.beside(name));
        List<Draft> drafts = new ArrayList<>();
        EnclosedFiles files = new EnclosedFiles(delivery.files().getFirst().plan().enclosures(), sources, name, before);
        try {
            for (Delivery.File file : delivery.files()) drafts.add(Draft.beside(file.target()));
            Draft ledgerDraft = Draft.beside(place.drafted(name));
            drafts.add(ledgerDraft);
            if (!files.draft(stop)) return new Outcome.Stopped(0);
            Outcome outcome = write(delivery, sources, progress, stop, drafts);
            if (!(outcome instanceof Outcome.Written written)) return outcome;
            if (written.files().stream().anyMatch(file -> file.bytes() > delivery.most())) return new Outcome.TooLarge();
            List<Handover.Change> changes = new ArrayList<>(files.changes());
            written.ledger().ifPresent(its -> changes.add(Handover.Change.put(ledgerDraft.path(), its)));
            for (int i = 0; i < delivery.files().size(); i++)
                changes.add(Handover.Change.put(drafts.get(i).path(), delivery.files().get(i).target()));
            for (Path over : VolumeFiles.left(delivery)) changes.add(Handover.Change.empty(over));
            Handover.make(name.toAbsolutePath().getParent(), changes, place.folders().stream().findFirst(), mover);
            if (place instanceof LedgerPlace.House its) its.takeIn(name);
            return outcome;
        } finally {
            // What a journal names is finished or taken back by whoever finds it.
            if (Handover.pending(first).isEmpty()) {
                drafts.forEach(Draft::close);
                files.close();
                files.tidy();
            }
        }
    }

    private Outcome write(Delivery delivery, SourceFiles sources, Progress progress, BooleanSupplier stop, List<Draft> drafts)
            throws IOException {
        Report report = new Report();
        List<Ledger.ProducedFile> made = new ArrayList<>();
        List<Ledger.Font> fonts = new ArrayList<>();
        List<Outcome.WrittenFile> written = new ArrayList<>();
        List<Delivery.File> files = delivery.files();
        Map<SourceId, Integer> places = LedgerParts.sourcePlaces(files);
        int[] done = {0};
        try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(drafts.getLast().path()), 1 << 16);
                LedgerWriter ledger = new LedgerWriter(out, delivery.pages(), LedgerParts.sources(places.keySet(), sources),
                        LedgerParts.index(delivery), LedgerParts.bookmarks(files));
                SourceSessions sessions =
                        new SourceSessions(sources, files.stream().map(file -> file.output().leaves()).toList());
                FileClosing closing = new FileClosing()) {
            AssemblyRun.Shared shared = new AssemblyRun.Shared(sessions, report, (pages, total) -> {
                done[0] = pages;
                progress.report(pages, total);
            }, stop, ledger, places, limit);
            for (int number = 0; number < files.size(); number++) {
                DraftFile pdf = opener.open(drafts.get(number).path());
                try (AssemblyRun run = new AssemblyRun(delivery, number, done[0], pdf, shared)) {
                    Optional<AssemblyRun.Made> its = run.write();
                    if (its.isEmpty()) return new Outcome.Stopped(done[0]);
                    made.add(its.get().file());
                    fonts.addAll(its.get().fonts());
                } finally {
                    closing.begin(pdf);
                }
            }
            closing.await();
            for (int number = 0; number < files.size(); number++) written.add(new Outcome.WrittenFile(
                    files.get(number).target(), files.get(number).output().size(), Files.size(drafts.get(number).path())));
            Plan plan = files.getFirst().plan();
            ledger.end(fonts, made, LedgerParts.enclosed(plan),
                    String.valueOf(Ledger.filesBeside(delivery.name()).getFileName()));
            return new Outcome.Written(written, plan.documentCount(), plan.enclosures().size(), report.findings(),
                    delivery.ledger().file(delivery.name(), made.getFirst().identity()));
        }
    }

    private static void makeReady(LedgerPlace ledger, SourceFiles sources) throws FindingException {
        if (ledger instanceof LedgerPlace.At(Path chosen)) {
            if (sources.isOriginal(chosen)) throw failure(Code.TARGET_IS_SOURCE, chosen, "", null);
            checkFolder(chosen);
        }
        for (Path folder : ledger.folders()) {
            try {
                Files.createDirectories(folder);
            } catch (IOException e) {
                throw targetFailure(folder, e);
            }
        }
    }

    private static void checkFolder(Path target) throws FindingException {
        Path folder = target.toAbsolutePath().getParent();
        if (Files.isDirectory(target)) throw failure(Code.TARGET_NOT_WRITABLE, target, "it is a folder", null);
        if (folder == null || !Files.isDirectory(folder))
            throw failure(Code.TARGET_NOT_WRITABLE, target, "there is no such folder", null);
    }

    private static FindingException targetFailure(Path target, IOException e) {
        if (DiskFull.is(e, target)) return failure(Code.NO_SPACE, target, "", e);
        String reason = e instanceof AccessDeniedException ? "you are not allowed to write there"
                : e instanceof FileSystemException f && f.getReason() != null ? f.getReason() : String.valueOf(e.getMessage());
        return failure(Code.TARGET_NOT_WRITABLE, target, reason, e);
    }

    private static FindingException failure(Code code, Path file, String detail, @Nullable Throwable cause) {
        return new FindingException(new Finding(code, Subject.OfProduced.of(file, 0), detail), cause);
    }

    /** Opens a draft for writing. */
    @FunctionalInterface
    interface DraftOpener {
        DraftFile open(Path draft) throws IOException;
    }
}
