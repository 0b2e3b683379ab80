package app.yellowtab.facts;

import java.util.Base64;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;

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
 * @param prints       a short fingerprint of what each page shows, eight bytes a page, in Base64 (RFC 4648); empty if unknown
 */
public record PageFacts(List<ShapedPages> shapes, List<SheetSize> sizes, PageSet scanned, PageSet searchable,
        Optional<PrintedSeries> printed, int beginnings, int signatures, int comments, int fields,
        int layers, int hiddenLayers, int scripts, List<String> attachments, List<String> fontsMissing, boolean locked,
        boolean repaired, String prints) {
    private static final int PRINT_BYTES = 8;
    /** Nothing is known. */
    public static final PageFacts UNKNOWN = new PageFacts(List.of(), List.of(), PageSet.NONE, PageSet.NONE, Optional.empty(), 0,
            0, 0, 0, 0, 0, 0, List.of(), List.of(), false, false, "");

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

    /** {@return the fingerprint of what a page shows, counted from 1; empty if it is unknown} */
    public Optional<String> print(int page) {
        int begin = PRINT_BYTES * (page - 1);
        // Three bytes are four letters in Base64: only those are unpacked that the fingerprint lies in.
        int from = begin / 3 * 4;
        int to = Math.min(prints.length(), (begin + PRINT_BYTES + 2) / 3 * 4);
        if (page < 1 || from >= to) return Optional.empty();
        try {
            byte[] part = Base64.getDecoder().decode(prints.substring(from, to));
            int at = begin - from / 4 * 3;
            return part.length < at + PRINT_BYTES ? Optional.empty()
                    : Optional.of(HexFormat.of().formatHex(part, at, at + PRINT_BYTES));
        } catch (IllegalArgumentException damaged) {
            return Optional.empty();
        }
    }

    /** {@return the same of a damaged file} */
    public PageFacts asRepaired() {
        return new PageFacts(shapes, sizes, scanned, searchable, printed, beginnings, signatures, comments, fields, layers,
                hiddenLayers, scripts, attachments, fontsMissing, locked, true, prints);
    }
}
