package app.yellowtab.leaf;

import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.run.BlankLook;
import app.yellowtab.model.source.SourceId;
import java.util.List;

/** What a leaf shows. */
public sealed interface Content {
    /** One page of the cover; {@code sheet} is counted from 0. */
    record Cover(int sheet) implements Content {}

    /** One page of the index; {@code sheet} is counted from 0. */
    record IndexSheet(int sheet) implements Content {}

    /** The page that opens a section. */
    record SectionTitle(EntryId section, String label, String title) implements Content {}

    /** A page that names the document after it; {@code tab} is 0 where the index does not list the document. */
    record Divider(EntryId next, int tab, String title) implements Content {}

    /** A tab sheet of the set to be printed; {@code note} is for the person at the printer, and may be empty. */
    record TabSheet(EntryId entry, String label, String title, String note) implements Content {}

    /** A blank page of a document, or before it. */
    record Blank(EntryId document, BlankLook look) implements Content {}

    /** A page that stands for one that is not there; {@code lines} is what it says, the title first. */
    record Slip(EntryId document, List<String> lines) implements Content {}

    /**
     * A slip in the place of a page of a source that is withheld; {@code page} is counted from 1, and {@code reason} may be
     * empty.
     */
    record Withheld(EntryId document, SourceId source, int page, PageLook look, String reason) implements Content {}

    /**
     * The sheet before an exhibit.
     *
     * @param mark  what the exhibit is called, such as "OF1"
     * @param above what stands at the head of the page: the case
     * @param below what stands below the mark: whose exhibit it is
     */
    record FrontSheet(EntryId document, String mark, List<String> above, List<String> below) implements Content {}

    /**
     * The sheet that stands for a file which goes along as it is.
     *
     * @param lines what it says below the title: how it is supplied, its name, its length or size, its fingerprint
     */
    record FileSheet(EntryId document, String title, List<String> lines) implements Content {}

    /** A page of a source; {@code page} is counted from 1. */
    record SourcePage(EntryId document, SourceId source, int page, PageLook look) implements Content {}

    /** {@return a page of a source, or the slip in its place where its look withholds it; {@code page} is counted from 1} */
    static Content of(EntryId document, SourceId source, int page, PageLook look) {
        return look.withheld().<Content>map(reason -> new Withheld(document, source, page, look, reason))
                .orElseGet(() -> new SourcePage(document, source, page, look));
    }
}
