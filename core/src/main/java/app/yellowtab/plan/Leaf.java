package app.yellowtab.plan;

import app.yellowtab.model.EntryId;
import app.yellowtab.model.source.SourceId;

/** One page of the bundle as it will be produced. */
public sealed interface Leaf {
    /** {@return the bundle number, counted from 1; it equals the PDF's page number} */
    int number();

    /** One page of the cover; {@code sheet} is counted from 0. */
    record Cover(int number, int sheet) implements Leaf {}

    /** One page of the index; {@code sheet} is counted from 0. */
    record IndexSheet(int number, int sheet) implements Leaf {}

    /** The page that opens a section. */
    record SectionTitle(int number, EntryId section, String label, String title) implements Leaf {}

    /** A blank page before a document. */
    record Blank(int number, EntryId next) implements Leaf {}

    /** A page that names the document after it; {@code tab} is 0 where the index does not list the document. */
    record Divider(int number, EntryId next, int tab, String title) implements Leaf {}

    /** A page of a source; {@code page} is counted from 1. */
    record SourcePage(int number, EntryId document, SourceId source, int page) implements Leaf {}
}
