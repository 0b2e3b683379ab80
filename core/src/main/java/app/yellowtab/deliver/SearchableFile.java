package app.yellowtab.deliver;

import app.yellowtab.assemble.Outcome;
import app.yellowtab.assemble.PieceWriter;
import app.yellowtab.files.Drafts;
import app.yellowtab.finding.DiskFull;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Progress;
import app.yellowtab.finding.Subject;
import app.yellowtab.model.Comments;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.source.Source;
import app.yellowtab.plan.Plan;
import app.yellowtab.sets.PiecePlanner;
import app.yellowtab.source.BatchPages;
import app.yellowtab.source.SourceFiles;
import app.yellowtab.words.BatchPage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;

/**
 * A source as a file of its own that can be searched: the same pages, with what was recognised behind their pictures; or its
 * words alone.
 */
public final class SearchableFile {
    private SearchableFile() {}

    /**
     * Writes a source's pages as a PDF.
     *
     * @param target must not be there yet
     * @return what must be known of it; empty where it was stopped, too, and no file is there then
     * @throws FindingException if the source is gone or unreadable, or the file cannot be written
     */
    public static List<Finding> write(SourceFiles files, Source source, Path target, Progress progress, BooleanSupplier stop)
            throws FindingException {
        Plan plan = PiecePlanner.plan(Document.of(source), Map.of(source.id(), files.source(source.id())), Comments.KEPT,
                Integer.MAX_VALUE);
        try (PieceWriter writer = new PieceWriter(files, List.of(plan))) {
            Outcome outcome = writer.write(plan, target, progress, stop);
            return outcome instanceof Outcome.Written ? writer.findings() : List.of();
        }
    }

    /**
     * Writes a source's words as plain text in UTF-8, a form feed between its pages.
     *
     * @param target must not be there yet
     * @throws FindingException if the file cannot be written
     * @throws IOException      if the source is gone or cannot be opened
     */
    public static void writeWords(SourceFiles files, Source source, Path target, BooleanSupplier stop) throws IOException {
        List<BatchPage> pages = BatchPages.read(files, source.id(), false, Progress.NONE, stop);
        if (stop.getAsBoolean()) return;
        try {
            Path draft = Drafts.beside(target);
            try {
                Files.writeString(draft, pages.stream().map(page -> page.text().text()).collect(Collectors.joining("\f")));
                if (Files.exists(target)) throw new IOException("there is such a file already");
                Files.move(draft, target);
            } finally {
                Files.deleteIfExists(draft);
            }
        } catch (IOException e) {
            throw new FindingException(new Finding(DiskFull.is(e, target) ? Code.NO_SPACE : Code.TARGET_NOT_WRITABLE,
                    Subject.OfProduced.of(target, 0), String.valueOf(e.getMessage())), e);
        }
    }
}
