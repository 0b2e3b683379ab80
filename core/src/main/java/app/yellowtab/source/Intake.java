package app.yellowtab.source;

import app.yellowtab.finding.DiskFull;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.model.Contents;
import app.yellowtab.model.Document;
import app.yellowtab.model.EntryId;
import app.yellowtab.model.Section;
import app.yellowtab.model.Source;
import app.yellowtab.model.SourceId;
import app.yellowtab.model.SourceKind;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import org.apache.pdfbox.pdmodel.encryption.InvalidPasswordException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Brings files in: each is recognised by its content, kept, converted if it is no PDF, and inspected. A file that cannot
 * be read becomes a finding and never stops the rest.
 */
public final class Intake {
    private static final Logger LOG = LoggerFactory.getLogger(Intake.class);

    private final Depot depot;
    private final List<String> passwords;
    private final KindReader kinds = new KindReader();

    public Intake(Depot depot) {
        this(depot, List.of());
    }

    /** @param passwords to try on locked files, in order */
    public Intake(Depot depot, List<String> passwords) {
        this.depot = depot;
        this.passwords = List.copyOf(passwords);
    }

    /**
     * Brings in all that was found.
     *
     * @param progress is told before each file
     * @param stop     asked before each file; what was brought in by then is returned
     */
    public Taken bringIn(FoundFolder found, Progress progress, BooleanSupplier stop) {
        Run run = new Run(found.fileCount(), progress, stop);
        Contents contents = run.contents(found);
        return new Taken(run.sources, contents, run.findings);
    }

    /**
     * What came of it.
     *
     * @param sources  everything that was read
     * @param contents the documents and sections that the folders suggest; every source is a document in them
     * @param findings a finding for each file that was not read
     */
    public record Taken(List<Source> sources, Contents contents, List<Finding> findings) {
        public Taken {
            sources = List.copyOf(sources);
            findings = List.copyOf(findings);
        }
    }

    /** Is told how far an intake is. Called on the thread that brings in. */
    @FunctionalInterface
    public interface Progress {
        /** Hears nothing. */
        Progress NONE = (done, total, name) -> { };

        /** @param name the file that comes next */
        void report(int done, int total, String name);
    }

    /** {@return the source that a file has become, or what kept it from that} */
    private Result read(Path file) {
        try {
            if (!Files.isReadable(file)) return new Result.Refused(Finding.of(Code.NOT_READABLE, file));
            if (!Files.isRegularFile(file)) return new Result.Refused(Finding.of(Code.KIND_NOT_READ, file, "no ordinary file"));
            if (Files.size(file) == 0) return new Result.Refused(Finding.of(Code.EMPTY_FILE, file));
            KindReader.Reading reading = kinds.read(file);
            if (reading.kind().isEmpty()) return new Result.Refused(Finding.of(Code.KIND_NOT_READ, file, reading.words()));
            return keep(file, reading.kind().get());
        } catch (IOException e) {
            LOG.warn("not read: {}", file, e);
            return new Result.Refused(Finding.of(DiskFull.is(e) ? Code.NO_ROOM : Code.NOT_READABLE, file));
        }
    }

    private Result keep(Path file, SourceKind kind) throws IOException {
        Depot.Kept kept = depot.keep(file);
        Optional<Finding> refusal;
        try {
            List<Finding> notes = new ArrayList<>();
            Path pages = kept.path();
            if (kind.isConverted()) {
                pages = depot.convertedPlace(kept);
                Converter.convert(kept.path(), file, kind, pages, notes);
            }
            PdfFacts facts = PdfFacts.read(pages, passwords);
            if (facts.pageCount() > 0) return new Result.Read(source(file, kind, kept, facts), notes);
            refusal = Optional.of(Finding.of(Code.NO_PAGES, file));
        } catch (InvalidPasswordException e) {
            refusal = Optional.of(Finding.of(Code.PASSWORD_NEEDED, file));
        } catch (TooLargeException e) {
            refusal = Optional.of(Finding.of(Code.TOO_LARGE, file, e.getMessage()));
        } catch (IOException e) {
            LOG.warn("damaged: {}", file, e);
            refusal = Optional.of(DiskFull.is(e) ? Finding.of(Code.NO_ROOM, file) : Finding.of(Code.DAMAGED, file, "its pages cannot be made out"));
        } catch (RuntimeException | StackOverflowError e) {
            LOG.warn("damaged: {}", file, e);
            refusal = Optional.of(Finding.of(Code.DAMAGED, file, "its pages cannot be made out"));
        }
        depot.drop(kept);
        return new Result.Refused(refusal.get());
    }

    private static Source source(Path file, SourceKind kind, Depot.Kept kept, PdfFacts facts) {
        String name = String.valueOf(file.getFileName());
        NameReading reading = NameReading.ofFile(name);
        return new Source(SourceId.fresh(), name, kept.storedName(), kind, kept.bytes(), kept.fingerprint().sha256(), kept.fingerprint().checksum(), facts.pageCount(),
                facts.bookmarks(), reading.title(), reading.date());
    }

    private sealed interface Result {
        record Read(Source source, List<Finding> notes) implements Result {}

        record Refused(Finding finding) implements Result {}
    }

    /** One intake. */
    private final class Run {
        private final int total;
        private final Progress progress;
        private final BooleanSupplier stop;
        private final List<Source> sources = new ArrayList<>();
        private final List<Finding> findings = new ArrayList<>();
        private int done;

        Run(int total, Progress progress, BooleanSupplier stop) {
            this.total = total;
            this.progress = progress;
            this.stop = stop;
        }

        Contents contents(FoundFolder folder) {
            List<Document> documents = new ArrayList<>();
            for (Path file : folder.files()) {
                if (stop.getAsBoolean()) break;
                progress.report(done++, total, String.valueOf(file.getFileName()));
                switch (read(file)) {
                    case Result.Read read -> {
                        sources.add(read.source());
                        findings.addAll(read.notes());
                        documents.add(Document.of(read.source()));
                    }
                    case Result.Refused refused -> findings.add(refused.finding());
                }
            }
            List<Section> sections = new ArrayList<>();
            for (FoundFolder inner : folder.folders()) {
                Contents contents = contents(inner);
                if (contents.isEmpty()) continue;
                sections.add(new Section(EntryId.fresh(), NameReading.sectionTitle(inner.name()), contents));
            }
            return new Contents(documents, sections);
        }
    }
}
