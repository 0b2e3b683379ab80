package app.yellowtab.deliver;

import app.yellowtab.assemble.Outcome;
import app.yellowtab.assemble.PieceWriter;
import app.yellowtab.files.Drafts;
import app.yellowtab.files.FileNames;
import app.yellowtab.finding.DiskFull;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Progress;
import app.yellowtab.finding.Subject;
import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.model.entry.DocumentDate;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Plan;
import app.yellowtab.sets.Excerpt;
import app.yellowtab.source.SourceFiles;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.slf4j.LoggerFactory;

/**
 * Saves pages as files: all in one, or each in a file of its own. Whatever is there stays, but for the one file that was asked
 * for by its name.
 */
public final class PageFiles {
    private static final String ENDING = ".pdf";

    private final SourceFiles sources;

    public PageFiles(SourceFiles sources) {
        this.sources = sources;
    }

    /**
     * What was saved.
     *
     * @param files    that are whole, in order
     * @param isWhole  whether that is all; otherwise it was stopped
     * @param findings what must be known of them
     */
    public record Saved(List<Path> files, boolean isWhole, List<Finding> findings) {
        public Saved {
            files = List.copyOf(files);
            findings = List.copyOf(findings);
        }
    }

    /**
     * Saves pages as one file, in the place of what has that name.
     *
     * @throws FindingException if a source cannot be read, or the file not be written; what was there is there still
     */
    public Saved one(Plan pages, Path target, Progress progress, BooleanSupplier stop) throws FindingException {
        if (sources.isOriginal(target))
            throw new FindingException(new Finding(Code.TARGET_IS_SOURCE, Subject.OfProduced.of(target, 0), ""), null);
        @Nullable Path draft = null;
        try (PieceWriter writer = new PieceWriter(sources, List.of(pages))) {
            draft = Drafts.beside(target);
            Files.deleteIfExists(draft);
            Outcome outcome = writer.write(pages, draft, progress, stop);
            if (!(outcome instanceof Outcome.Written)) return new Saved(List.of(), false, writer.findings());
            Drafts.move(draft, target);
            return new Saved(List.of(target), true, writer.findings());
        } catch (FindingException known) {
            throw known;
        } catch (IOException e) {
            throw failure(target, e);
        } finally {
            forget(draft);
        }
    }

    private static void forget(@Nullable Path draft) {
        try {
            if (draft != null) Files.deleteIfExists(draft);
        } catch (IOException inUse) {
            LoggerFactory.getLogger(PageFiles.class).warn("not deleted: {}", draft, inUse);
        }
    }

    /**
     * Saves each of some pages as a file of its own.
     *
     * @param plan     that they are of
     * @param numbered whether they keep the numbers that they have in it
     * @param folder   made if it is not there; names that are taken in it are not used
     * @throws FindingException if a source cannot be read, or a file not be written; those that are whole stay
     */
    public Saved each(Plan plan, List<Leaf> leaves, boolean numbered, PageName name, Path folder, Progress progress,
            BooleanSupplier stop) throws FindingException {
        List<Plan> pieces = new ArrayList<>();
        List<Path> targets = new ArrayList<>();
        FileNames names = new FileNames();
        Excerpt excerpt = new Excerpt(plan, numbered);
        try {
            Files.createDirectories(folder);
            try (Stream<Path> there = Files.list(folder)) {
                there.forEach(file -> names.take(String.valueOf(file.getFileName())));
            }
        } catch (IOException e) {
            throw failure(folder, e);
        }
        for (Leaf leaf : leaves) {
            String words = name.of(page(plan, leaf, pieces.size() + 1));
            targets.add(folder.resolve(names.next(words, ENDING)));
            pieces.add(excerpt.of(List.of(leaf), words));
        }
        List<Path> written = new ArrayList<>();
        try (PieceWriter writer = new PieceWriter(sources, pieces)) {
            for (int i = 0; i < pieces.size() && !stop.getAsBoolean(); i++) {
                if (writer.write(pieces.get(i), targets.get(i), Progress.NONE, stop) instanceof Outcome.Written)
                    written.add(targets.get(i));
                progress.report(i + 1, pieces.size());
            }
            return new Saved(written, written.size() == pieces.size(), writer.findings());
        }
    }

    private PageName.Page page(Plan plan, Leaf leaf, int count) {
        Optional<PlannedEntry> entry = plan.entryAt(leaf.index());
        DocumentDate date = entry.isPresent() && entry.get() instanceof PlannedEntry.PlannedDocument planned
                ? planned.document().date() : DocumentDate.NOT_GIVEN;
        String title = entry.map(PlannedEntry::title).orElse("");
        return leaf.content() instanceof Content.SourcePage source
                ? new PageName.Page(title, leaf.label(), date, stem(source.source()), source.page(), count)
                : new PageName.Page(title, leaf.label(), date, "", 0, count);
    }

    private String stem(SourceId id) {
        String name = sources.source(id).fileName();
        int dot = name.lastIndexOf('.');
        return dot > 0 ? name.substring(0, dot) : name;
    }

    private static FindingException failure(Path target, IOException e) {
        return new FindingException(new Finding(DiskFull.is(e, target) ? Code.NO_SPACE : Code.TARGET_NOT_WRITABLE,
                Subject.OfProduced.of(target, 0), String.valueOf(e.getMessage())), e);
    }
}
