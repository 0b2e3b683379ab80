package app.yellowtab.ledger;

import app.yellowtab.pdf.Typeface;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;

/**
 * What a ledger says of the whole bundle; its leaves, of which there may be very many, are read one after the other by
 * {@link LedgerReader}. The form is described in docs/ledger.schema.json.
 *
 * @param pages     how many leaves there are
 * @param sources   the files that the leaves came from
 * @param index     the pages of the index
 * @param bookmarks in order
 * @param fonts     our own fonts
 * @param identity  the file's identifier (ISO 32000-1:2008, 14.4), in lower-case hexadecimal
 */
public record Ledger(int pages, List<SourceFile> sources, List<IndexPage> index, List<Bookmark> bookmarks, List<Font> fonts, String identity) {
    public Ledger {
        sources = List.copyOf(sources);
        index = List.copyOf(index);
        bookmarks = List.copyOf(bookmarks);
        fonts = List.copyOf(fonts);
    }

    /** {@return where the ledger of a bundle lies: beside it, "Trial bundle.ledger.json" for "Trial bundle.pdf"} */
    public static Path beside(Path bundle) {
        String name = String.valueOf(bundle.getFileName());
        String stem = name.toLowerCase(Locale.ROOT).endsWith(".pdf") ? name.substring(0, name.length() - 4) : name;
        return bundle.resolveSibling(stem + ".ledger.json");
    }

    /**
     * A file that leaves came from.
     *
     * @param sha256 of the file as it was brought in, in lower-case hexadecimal
     */
    public record SourceFile(String file, String sha256, int pages) {}

    /** A page of the index. */
    public record IndexPage(int number, List<Row> rows) {
        public IndexPage {
            rows = List.copyOf(rows);
        }
    }

    /**
     * A row of the index.
     *
     * @param text  its words in reading order
     * @param pages what stands in its page column
     * @param to    the bundle number that it leads to
     */
    public record Row(String text, String pages, int to, Area area) {}

    /** A part of a page, in points from its lower left corner. */
    public record Area(float left, float bottom, float right, float top) {}

    /** A bookmark, and the bundle number that it leads to. */
    public record Bookmark(int level, String title, int to) {}

    /**
     * A font of ours.
     *
     * @param face        which of our typefaces it is
     * @param name        its PostScript name
     * @param object      the number of its object
     * @param fingerprint of all it is made of
     */
    public record Font(Typeface face, String name, int object, String fingerprint) {}

    /**
     * A leaf.
     *
     * @param label       its page label
     * @param kind        "cover", "index", "section", "blank", "divider", "page" or "slip"
     * @param fingerprint of its content and of all that it needs to be drawn
     * @param stamp       where its number stands
     * @param source      the place of its file in {@link Ledger#sources}, counted from 0; -1 for a leaf of ours
     * @param page        in that file, counted from 1; 0 for a leaf of ours
     * @param links       the bundle numbers that its links lead to, in order
     * @param allResources whether what it draws could not be followed, so that it may hold more than it shows
     */
    public record Leaf(int number, String label, String kind, String fingerprint, Stamp stamp, int source, int page, List<Integer> links, boolean allResources) {
        public Leaf {
            links = List.copyOf(links);
        }
    }

    /** A stamped number: its left end on the base line, in points from the lower left corner of what a reader sees. */
    public record Stamp(float x, float y, float sizePt) {}
}
