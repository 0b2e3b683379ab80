package app.yellowtab.intake;

import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.intake.Intake.Result;
import app.yellowtab.intake.Intake.Taken;
import app.yellowtab.model.contents.Contents;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.Section;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.source.Source;
import app.yellowtab.source.Depot;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.BooleanSupplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** One intake: it goes through folders and what lies inside files, several files at a time. */
final class IntakeRun {
    private static final Logger LOG = LoggerFactory.getLogger(IntakeRun.class);
    /** Chosen by us: mails in mails in archives go four deep in practice; more is made to hold a program up. */
    private static final int DEEPEST = 8;

    private final Intake intake;
    private final Depot depot;
    private final List<String> passwords;
    private final Intake.Listener progress;
    private final BooleanSupplier stop;
    private final ExecutorService readers;
    private final Insides insides = new Insides();
    private final List<Path> workFolders = new ArrayList<>();
    private int done;
    private int total;

    IntakeRun(Intake intake, int threads, Depot depot, List<String> passwords, Intake.Listener progress, BooleanSupplier stop) {
        this.readers = Executors.newFixedThreadPool(threads, IntakeRun::thread);
        this.intake = intake;
        this.depot = depot;
        this.passwords = passwords;
        this.progress = progress;
        this.stop = stop;
    }

    private static Thread thread(Runnable task) {
        Thread thread = new Thread(null, task, "intake", 4 << 20);
        thread.setDaemon(true);
        return thread;
    }

    /** What came of a file and of those inside it. */
    private record Gathered(List<Source> sources, List<Document> documents, List<Section> sections, List<Finding> findings) {
        private static Gathered empty() {
            return new Gathered(new ArrayList<>(), new ArrayList<>(), new ArrayList<>(), new ArrayList<>());
        }

        private void add(Gathered other) {
            sources.addAll(other.sources());
            documents.addAll(other.documents());
            sections.addAll(other.sections());
            findings.addAll(other.findings());
        }
    }

    /** A folder whose files are being read. */
    private record Pending(String name, List<Future<Gathered>> files, List<Pending> folders) {}

    Taken run(FoundFolder found) {
        total = found.fileCount();
        try {
            Gathered all = collect(start(found));
            return new Taken(all.sources(), new Contents(all.documents(), all.sections()), all.findings());
        } finally {
            readers.shutdown();
            tidy();
        }
    }

    /** Reads what lies inside a file that was brought in before. */
    Taken inside(Source source, Path original) {
        try {
            Gathered all = Gathered.empty();
            if (holdsFiles(source)) readAttachments(original, source, Optional.empty(), 0, all);
            return new Taken(all.sources(), new Contents(all.documents(), all.sections()), all.findings());
        } finally {
            readers.shutdown();
            tidy();
        }
    }

    private static boolean holdsFiles(Source source) {
        return source.isRead() && (source.kind().isMail() || !source.about().pages().attachments().isEmpty());
    }

    private Pending start(FoundFolder folder) {
        List<Future<Gathered>> files = new ArrayList<>();
        for (Path file : folder.files()) files.add(readers.submit(() -> readWhole(file, 0)));
        return new Pending(folder.name(), files, folder.folders().stream().map(this::start).toList());
    }

    private Gathered collect(Pending folder) {
        Gathered all = Gathered.empty();
        for (Future<Gathered> file : folder.files()) all.add(result(file));
        for (Pending inner : folder.folders()) addSection(all, inner.name(), collect(inner));
        return all;
    }

    private static Gathered result(Future<Gathered> file) {
        try {
            return file.get();
        } catch (ExecutionException e) {
            throw new IllegalStateException("a reader catches all", e.getCause());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return Gathered.empty();
        }
    }

    private static void addSection(Gathered all, String name, Gathered inner) {
        all.sources().addAll(inner.sources());
        all.findings().addAll(inner.findings());
        Contents contents = new Contents(inner.documents(), inner.sections());
        if (!contents.isEmpty()) all.sections().add(new Section(EntryId.fresh(), NameReading.sectionTitle(name), contents));
    }

    /** Reads a file and what lies inside it, on the thread of a reader. Whatever goes wrong with it, the others are read. */
    private Gathered readWhole(Path file, int depth) {
        Gathered outcome = Gathered.empty();
        try {
            read(file, depth, outcome);
        } catch (RuntimeException | Error e) {
            LOG.error("reading failed: {}", file, e);
            outcome.findings().add(Finding.of(Code.FAILED, file, e.getClass().getSimpleName()));
        }
        return outcome;
    }

    private void read(Path file, int depth, Gathered outcome) {
        if (stop.getAsBoolean()) return;
        report(Intake.nameOf(file));
        switch (intake.read(file)) {
            case Result.Refused refused -> outcome.findings().add(refused.finding());
            case Result.Archive archive -> readArchive(file, depth, outcome);
            case Result.Kept kept -> {
                Source source = kept.source();
                outcome.sources().add(source);
                outcome.findings().addAll(kept.findings());
                Optional<Document> made = source.isRead() ? Optional.of(Document.of(source)) : Optional.empty();
                made.ifPresent(outcome.documents()::add);
                arrived(source);
                if (holdsFiles(source)) readAttachments(file, source, made.map(Document::id), depth, outcome);
            }
        }
    }

    private void readArchive(Path file, int depth, Gathered outcome) {
        if (isTooDeep(file, depth, outcome)) return;
        try {
            Path folder = newWorkFolder();
            insides.unpack(file, file, folder, outcome.findings());
            List<Finding> findings = new ArrayList<>();
            FoundFolder found = FoundFolder.of(List.of(folder), findings).folders().getFirst();
            found = new FoundFolder(Intake.nameOf(file).replaceFirst("\\.[A-Za-z0-9]{1,4}$", ""), found.files(), found.folders());
            expect(found.fileCount());
            Gathered inside = readAll(found, depth + 1);
            inside.findings().replaceAll(finding -> finding.within(Intake.nameOf(file)));
            addSection(outcome, found.name(), inside);
        } catch (IOException e) {
            LOG.warn("not unpacked: {}", file, e);
            outcome.findings().add(Finding.of(Code.DAMAGED, file, "the archive cannot be unpacked"));
        }
    }

    private Gathered readAll(FoundFolder folder, int depth) {
        Gathered all = Gathered.empty();
        for (Path file : folder.files()) all.add(readWhole(file, depth));
        for (FoundFolder inner : folder.folders()) addSection(all, inner.name(), readAll(inner, depth));
        return all;
    }

    /** What came with a mail or lies in a PDF follows it, and is known to belong to it. */
    private void readAttachments(Path file, Source source, Optional<EntryId> owner, int depth, Gathered outcome) {
        if (isTooDeep(file, depth, outcome)) return;
        try {
            Path folder = newWorkFolder();
            List<Path> inside = insides.attachments(file, source.kind(), passwords, folder);
            expect(inside.size());
            for (Path attachment : inside) {
                Gathered one = readWhole(attachment, depth + 1);
                one.findings().replaceAll(finding -> finding.within(source.fileName()));
                one.sources().replaceAll(taken -> taken.about().attachedTo().isEmpty()
                        ? taken.withAbout(taken.about().withAttachedTo(source.id().value())) : taken);
                one.documents().replaceAll(document -> document.belongsTo().isEmpty() ? document.withBelongsTo(owner) : document);
                outcome.add(one);
            }
        } catch (Insides.Burst tooMuch) {
            outcome.findings().add(Finding.of(Code.TOO_LARGE, file, tooMuch.getMessage()));
        } catch (IOException | RuntimeException | Error e) {
            LOG.warn("attachments not taken out: {}", file, e);
            outcome.findings().add(Finding.of(Code.FILES_LEFT_OUT, file, "they cannot be read"));
        }
    }

    private boolean isTooDeep(Path file, int depth, Gathered outcome) {
        if (depth < DEEPEST) return false;
        outcome.findings().add(Finding.of(Code.NESTED_TOO_DEEP, file, String.valueOf(DEEPEST)));
        return true;
    }

    private synchronized Path newWorkFolder() throws IOException {
        Path folder = depot.workFolder();
        workFolders.add(folder);
        return folder;
    }

    private synchronized void expect(int more) {
        total += more;
    }

    private synchronized void report(String name) {
        progress.report(done++, total, name);
    }

    private synchronized void arrived(Source source) {
        progress.arrived(source);
    }

    private void tidy() {
        for (Path folder : workFolders) {
            try {
                depot.doneWith(folder);
            } catch (IOException e) {
                LOG.warn("not deleted: {}", folder, e);
            }
        }
    }
}
