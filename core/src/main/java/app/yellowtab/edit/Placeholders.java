package app.yellowtab.edit;

import app.yellowtab.edit.repage.Carrying;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.InTray;
import app.yellowtab.model.entry.DocumentDate;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.run.BlankPages;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.run.ReservedPages;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.RunId;
import app.yellowtab.model.run.SourcePages;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Entries for documents that are still to come: their pages are kept free, and filled when the documents are there. */
public final class Placeholders {
    private Placeholders() {}

    /** What becomes of pages that are kept free and that the document did not need. */
    public enum Rest {
        /** They stay, each with a slip, so that nothing moves that comes after. */
        STAYS,
        /** They go, and what comes after moves up. */
        GOES
    }

    /** {@return a new entry for a document that is still to come} */
    public static Document placeholder(String title, int pages) {
        return new Document(EntryId.fresh(), title, "", DocumentDate.NOT_GIVEN, true, Optional.empty(),
                List.of(new ReservedPages(RunId.fresh(), pages)));
    }

    /** {@return how many pages are kept free in a document} */
    public static int reserved(Document document) {
        return document.runs().stream().filter(ReservedPages.class::isInstance).mapToInt(Run::pageCount).sum();
    }

    /** {@return how many pages something has that lies in the tray} */
    public static int pages(InTray item) {
        return switch (item) {
            case InTray.File file -> file.source().pageCount();
            case InTray.SetAside aside -> aside.document().pageCount();
        };
    }

    /**
     * {@return the bundle with another number of pages kept free in a document}
     *
     * @param pages 0 for none any more; a document that has nothing but free pages keeps one
     */
    public static Bundle reserve(Bundle bundle, EntryId id, int pages) {
        return Edits.changeDocument(bundle, id, document -> {
            boolean nothingElse =
                    document.runs().stream().noneMatch(run -> run instanceof SourcePages || run instanceof BlankPages);
            return document.withRuns(filled(document.runs(), List.of(), nothingElse ? Math.max(1, pages) : pages));
        });
    }

    /**
     * {@return the bundle with a document's free pages filled with something that lies in the tray; the bundle itself where
     * either is not there} Its title and its place stay; its date too, if it has one.
     *
     * @param item its identity, as {@link InTray#id} gives it
     */
    public static Bundle fill(Bundle bundle, EntryId placeholder, String item, Rest rest) {
        Optional<InTray> found = bundle.tray().stream().filter(lies -> lies.id().equals(item)).findFirst();
        if (found.isEmpty()) return bundle;
        List<Run> pages = switch (found.get()) {
            case InTray.File file -> List.of(SourcePages.of(file.source().id(), 1, file.source().pageCount()));
            case InTray.SetAside aside -> aside.document().runs();
        };
        DocumentDate date = switch (found.get()) {
            case InTray.File file -> file.source().proposedDate();
            case InTray.SetAside aside -> aside.document().date();
        };
        Bundle filled = Edits.changeDocument(bundle, placeholder, document -> {
            int kept = reserved(document);
            if (kept == 0) return document;
            int left = rest == Rest.GOES ? 0 : Math.max(0, kept - pages(found.get()));
            Document with = document.withRuns(filled(document.runs(), pages, left));
            return document.date().equals(DocumentDate.NOT_GIVEN) ? with.withDate(date) : with;
        });
        if (filled == bundle || filled.equals(bundle)) return bundle;
        Bundle taken = filled
                .withSetAside(filled.setAside().stream().filter(document -> !document.id().value().equals(item)).toList());
        return Carrying.under(taken, stead(bundle, placeholder, pages));
    }

    /** {@return which page stands for each that was kept free; a page that stays free is counted on from the first that does} */
    private static Map<PageKey, PageKey> stead(Bundle bundle, EntryId placeholder, List<Run> pages) {
        List<PageKey> free = new ArrayList<>();
        for (Document document : bundle.contents().allDocuments()) {
            if (!document.id().equals(placeholder)) continue;
            for (Run run : document.runs()) if (run instanceof ReservedPages) free.addAll(run.keys());
        }
        List<PageKey> filling = pages.stream().flatMap(run -> run.keys().stream()).toList();
        Map<PageKey, PageKey> stead = new HashMap<>();
        for (int n = 0; n < free.size(); n++)
            stead.put(free.get(n),
                    n < filling.size() ? filling.get(n) : new PageKey(free.getFirst().run(), n - filling.size() + 1));
        return stead;
    }

    /** {@return pages with others in place of the first that are kept free, and so many free ones behind} */
    private static List<Run> filled(List<Run> runs, List<Run> pages, int left) {
        List<Run> now = new ArrayList<>();
        boolean isFilled = false;
        for (Run run : runs) {
            if (!(run instanceof ReservedPages free)) {
                now.add(run);
                continue;
            }
            if (isFilled) continue;
            isFilled = true;
            now.addAll(pages);
            if (left > 0) now.add(new ReservedPages(free.id(), left));
        }
        return now;
    }
}
