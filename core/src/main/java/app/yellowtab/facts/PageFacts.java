package app.yellowtab.facts;

import java.nio.ByteBuffer;
import java.util.Base64;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * What a file's pages are like, read once.
 *
 * @param shapes       the shape of each page, in order, neighbours alike together; empty if unknown
 * @param sizes        the sizes of sheets, most frequent first
 * @param scanned      the pages that are pictures of paper
 * @param searchable   the pages whose words can be found
 * @param printed      the page numbers that it already carries
 * @param beginnings   on how many pages a printed numbering begins with 1; several tell of documents run together
 * @param signatures   how many electronic signatures it has
 * @param comments     how many comments and other marks of reviewers
 * @param fields       how many form fields
 * @param layers       how many layers
 * @param hiddenLayers how many of them are hidden when the file is opened
 * @param scripts      how many scripts and other things that run or fetch something
 * @param attachments  the names of the files in it
 * @param fontsMissing the names of fonts that it uses and does not contain
 * @param locked       whether it needs a password to be opened
 * @param repaired     whether it is damaged and was read all the same
 * @param prints       a fingerprint of what each page shows, in Base64 (RFC 4648), noughts for a page that could not be looked
 *                     through; empty if unknown
 * @param printWay     how these were made: 1 for the first eight bytes of an XXH3-128, 2 for all sixteen
 */
public record PageFacts(List<ShapedPages> shapes, List<SheetSize> sizes, PageSet scanned, PageSet searchable,
        Optional<PrintedSeries> printed, int beginnings, int signatures, int comments, int fields,
        int layers, int hiddenLayers, int scripts, List<String> attachments, List<String> fontsMissing, boolean locked,
        boolean repaired, String prints, int printWay) {
    /** How they are made now. */
    public static final int PRINT_WAY = 2;
    /** So many bytes of a fingerprint are the same, in whichever way it was made. */
    private static final int LIKE_BYTES = 8;
    private static final int PRINT_BYTES = 16;
    /** Nothing is known. */
    public static final PageFacts UNKNOWN = new PageFacts(List.of(), List.of(), PageSet.NONE, PageSet.NONE, Optional.empty(), 0,
            0, 0, 0, 0, 0, 0, List.of(), List.of(), false, false, "", PRINT_WAY);

    public PageFacts {
        shapes = List.copyOf(shapes);
        sizes = List.copyOf(sizes);
        attachments = List.copyOf(attachments);
        fontsMissing = List.copyOf(fontsMissing);
    }

    /** {@return the shape of a page, counted from 1; empty if it is unknown} */
    public Optional<PageShape> shape(int page) {
        int last = 0;
        for (ShapedPages alike : shapes) {
            last += alike.pages();
            if (page <= last) return Optional.of(alike.shape());
        }
        return Optional.empty();
    }

    /** {@return the fingerprint of what a page shows, counted from 1, in hexadecimal; empty if it is unknown} */
    public Optional<String> print(int page) {
        return print(page, printBytes());
    }

    /**
     * {@return what begins the fingerprint of what a page shows, counted from 1, in hexadecimal: the same in bundles of all
     * versions; empty if it is unknown}
     */
    public Optional<String> likePrint(int page) {
        return print(page, LIKE_BYTES);
    }

    private int printBytes() {
        return printWay == 1 ? LIKE_BYTES : PRINT_BYTES;
    }

    private Optional<String> print(int page, int bytes) {
        int begin = printBytes() * (page - 1);
        // Three bytes are four letters in Base64: only those are unpacked that the fingerprint lies in.
        int from = begin / 3 * 4;
        int to = Math.min(prints.length(), (begin + bytes + 2) / 3 * 4);
        if (page < 1 || from >= to) return Optional.empty();
        try {
            byte[] part = Base64.getDecoder().decode(prints.substring(from, to));
            int at = begin - from / 4 * 3;
            if (part.length < at + bytes) return Optional.empty();
            String print = HexFormat.of().formatHex(part, at, at + bytes);
            return print.chars().allMatch(digit -> digit == '0') ? Optional.empty() : Optional.of(print);
        } catch (IllegalArgumentException damaged) {
            return Optional.empty();
        }
    }

    /** {@return what begins the fingerprint of each page; nought where it is unknown, no page where the file is} */
    public long[] likePrints() {
        ByteBuffer bytes;
        try {
            bytes = ByteBuffer.wrap(Base64.getDecoder().decode(prints));
        } catch (IllegalArgumentException damaged) {
            return new long[0];
        }
        long[] all = new long[bytes.capacity() / printBytes()];
        for (int at = 0; at < all.length; at++) all[at] = bytes.getLong(at * printBytes());
        return all;
    }

    /** {@return of how many pages there are fingerprints} */
    public int printCount() {
        int padding = prints.endsWith("==") ? 2 : prints.endsWith("=") ? 1 : 0;
        return (prints.length() / 4 * 3 - padding) / printBytes();
    }

    /** {@return whether other pages show the same, each of them; not where this is unknown of one} */
    public boolean showTheSame(PageFacts other) {
        int pages = printCount();
        if (pages == 0 || other.printCount() != pages) return false;
        boolean whole = printWay == other.printWay;
        if (whole && !prints.equals(other.prints)) return false;
        return IntStream.rangeClosed(1, pages).allMatch(page -> likePrint(page).isPresent()
                && (whole || likePrint(page).equals(other.likePrint(page))));
    }

    /** {@return the same of a damaged file} */
    public PageFacts asRepaired() {
        return new PageFacts(shapes, sizes, scanned, searchable, printed, beginnings, signatures, comments, fields, layers,
                hiddenLayers, scripts, attachments, fontsMissing, locked, true, prints, printWay);
    }
}
