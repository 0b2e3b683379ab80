package app.yellowtab.ledger;

import app.yellowtab.model.page.PageLook;
import app.yellowtab.output.Place;
import app.yellowtab.pdf.Face;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * What a ledger says of all that was produced at once; its leaves, of which there may be very many, are read one after the other
 * by {@link LedgerReader}. The form is described in docs/ledger.schema.json.
 *
 * @param pages     how many leaves there are, in all files
 * @param sources   the files that the leaves came from
 * @param index     the pages of the index
 * @param bookmarks in order
 * @param fonts     our own fonts
 * @param files     the files that the leaves stand in, at least one
 * @param enclosed  the files that go along
 * @param folder    the name of the folder beside, in which those lie; empty in older ledgers, where it is named after the file
 */
public record Ledger(int pages, List<SourceFile> sources, List<IndexPage> index, List<Bookmark> bookmarks, List<Font> fonts,
        List<ProducedFile> files, List<Enclosed> enclosed, String folder) {
    /** How long the identifiers of our files are. */
    public static final int IDENTITY_BYTES = 16;
    /** What the name of every ledger ends with. */
    static final String ENDING = ".ledger.json";

    public Ledger {
        enclosed = List.copyOf(enclosed);
        files = List.copyOf(files);
        sources = List.copyOf(sources);
        index = List.copyOf(index);
        bookmarks = List.copyOf(bookmarks);
        fonts = List.copyOf(fonts);
    }

    /** {@return where the ledger of a bundle lies: beside it, "Trial bundle.ledger.json" for "Trial bundle.pdf"} */
    public static Path beside(Path bundle) {
        return bundle.resolveSibling(stem(bundle) + ENDING);
    }

    /** {@return the folder of the files that go along with a bundle: beside it, "Trial bundle files" for "Trial bundle.pdf"} */
    public static Path filesBeside(Path bundle) {
        return bundle.resolveSibling(stem(bundle) + " files");
    }

    /** {@return what it says of one of its files, as if that were the only one} What leads into others says so still. */
    public Ledger of(int file) {
        return new Ledger(files.get(file).pages(), sources, index.stream().filter(page -> page.place().file() == file).toList(),
                bookmarks.stream().filter(bookmark -> bookmark.file() == file).toList(),
                fonts.stream().filter(font -> font.file() == file).toList(), List.of(files.get(file)), enclosed, folder);
    }

    /** {@return the folder of the files that go along with a produced file} */
    public Path filesOf(Path produced) {
        return folder.isEmpty() ? filesBeside(produced) : produced.resolveSibling(folder);
    }

    static String stem(Path bundle) {
        String name = String.valueOf(bundle.getFileName());
        return name.toLowerCase(Locale.ROOT).endsWith(".pdf") ? name.substring(0, name.length() - 4) : name;
    }

    /**
     * A file that goes along with the bundle as it is.
     *
     * @param name   in the folder beside the bundle
     * @param sha256 of its bytes, in lower-case hexadecimal
     */
    public record Enclosed(String name, long bytes, String sha256) {}

    /**
     * A file that was produced.
     *
     * @param name     its own name; empty in ledgers of format 1
     * @param output   what it is for: "screen", "paper" or "volume"
     * @param identity its identifier (ISO 32000-1:2008, 14.4), in lower-case hexadecimal
     */
    public record ProducedFile(String name, String output, String identity, int pages) {}

    /**
     * A file that leaves came from.
     *
     * @param sha256 of the file as it was brought in, in lower-case hexadecimal
     */
    public record SourceFile(String file, String sha256, int pages) {}

    /** A page of the index. */
    public record IndexPage(Place place, List<Row> rows) {
        public IndexPage {
            rows = List.copyOf(rows);
        }
    }

    /**
     * A row of the index.
     *
     * @param text  its words in reading order
     * @param pages what stands in its page column
     * @param to    where it leads; nowhere where the entry has no pages, and the row has no link
     */
    public record Row(String text, String pages, Place to, Area area) {}

    /** A part of a page, in points from its lower left corner. */
    public record Area(float left, float bottom, float right, float top) {}

    /**
     * A bookmark.
     *
     * @param file that has it
     * @param to   where it leads
     */
    public record Bookmark(int file, int level, String title, Place to) {}

    /**
     * A font that we embedded.
     *
     * @param file        that has it
     * @param face        which typeface it is
     * @param name        its PostScript name
     * @param object      the number of its object
     * @param fingerprint of all it is made of
     */
    public record Font(int file, Face face, String name, int object, String fingerprint) {}

    /**
     * A leaf.
     *
     * @param place        where it stands
     * @param name         by which other files lead to it; empty where none does
     * @param number       what is printed on it and called out; empty for one that is not counted
     * @param label        its page label
     * @param kind         "cover", "index", "section", "blank", "divider", "page", "slip", "front_sheet", "file_sheet" or
     *         "tab_sheet"
     * @param contentPrint of its contents and what they need, without annotations and marks, before anything is made smaller;
     *         empty in ledgers of format 1
     * @param shownPrint   the same of what the file holds
     * @param pagePrint    of all that it holds and reaches
     * @param look         what was done to its page
     * @param marks        what is set on it
     * @param from         where its page comes from; empty for a leaf of ours
     * @param links        where its links lead, in order
     * @param allResources whether what it draws could not be followed, so that it may hold more than it shows
     */
    public record Page(Place place, String name, Optional<String> number, String label, String kind, String contentPrint,
            String shownPrint, String pagePrint, PageLook look, List<Mark> marks, Optional<From> from, List<Place> links,
            boolean allResources) {
        public Page {
            marks = List.copyOf(marks);
            links = List.copyOf(links);
        }

        /** {@return which of the files it stands in, counted from 0} */
        public int file() {
            return place.file();
        }

        /** {@return its place in that file, counted from 1} */
        public int position() {
            return place.position();
        }

        /** {@return such as "page 412"; of one without a number, its place in the file} */
        public String shown() {
            return number.map(words -> "page " + words).orElse("the page at place " + position() + " of the file");
        }
    }

    /**
     * Where a leaf's page comes from.
     *
     * @param source the place of its file in {@link Ledger#sources}, counted from 0
     * @param page   in that file, counted from 1
     */
    public record From(int source, int page) {}

    /**
     * A mark on a leaf.
     *
     * @param series what it belongs to
     * @param words  empty for what covers a part of the page with white
     * @param box    from its left end on the base line, in points from the lower left corner of what a reader sees, before it is
     *         turned
     * @param turn   clockwise about the middle of the box, in degrees
     */
    public record Mark(String series, String words, Area box, float sizePt, int turn) {}
}
