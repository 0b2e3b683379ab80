package app.yellowtab.edit;

import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.run.EnclosedFile;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.RunId;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * Files that go along with the bundle as they are, instead of their pages: recordings, and workbooks that are to be worked with.
 */
public final class Enclosing {
    private Enclosing() {}

    /** {@return whether the file of a document can go along as it is, or goes so already: it is made of one file} */
    public static boolean isPossible(Document document) {
        return document.enclosed().isPresent() || PagePick.onlySource(document).isPresent();
    }

    /** {@return whether there are pages to be had instead of the file} */
    public static boolean hasPages(Bundle bundle, Document document) {
        return document.enclosed().map(file -> bundle.sourcesById().get(file.source())).filter(source -> !source.isWithoutPages())
                .isPresent();
    }

    /**
     * {@return the bundle with the file of a document along as it is, instead of its pages}
     *
     * @param sheet whether a sheet of ours with a number stands for it
     */
    public static Bundle enclose(Bundle bundle, EntryId id, boolean sheet) {
        return Edits.changeDocument(bundle, id, document -> {
            Optional<EnclosedFile> already = document.enclosed();
            if (already.isPresent())
                return changed(document, file -> new EnclosedFile(file.id(), file.source(), sheet, file.supplied()));
            Optional<SourceId> file = PagePick.onlySource(document);
            if (file.isEmpty()) return document;
            List<Run> runs = new ArrayList<>();
            document.frontSheet().ifPresent(runs::add);
            runs.add(new EnclosedFile(RunId.fresh(), file.get(), sheet, ""));
            return document.withRuns(runs);
        });
    }

    /** {@return the bundle with other words for how the file of a document is supplied; empty for nothing particular} */
    public static Bundle supply(Bundle bundle, EntryId id, String words) {
        return Edits.changeDocument(bundle, id,
                document -> changed(document, file -> new EnclosedFile(file.id(), file.source(), file.sheet(), words.strip())));
    }

    /** {@return the bundle with the pages of a file in a document that it went along with as it is} */
    public static Bundle withPages(Bundle bundle, EntryId id) {
        return Edits.changeDocument(bundle, id, document -> document.withRuns(document.runs().stream().map(run -> {
            Source source = run instanceof EnclosedFile file ? bundle.sourcesById().get(file.source()) : null;
            return source == null ? run : SourcePages.of(source.id(), 1, source.pageCount());
        }).toList()));
    }

    private static Document changed(Document document, UnaryOperator<EnclosedFile> change) {
        return document.withRuns(
                document.runs().stream().map(run -> run instanceof EnclosedFile file ? change.apply(file) : run).toList());
    }
}
