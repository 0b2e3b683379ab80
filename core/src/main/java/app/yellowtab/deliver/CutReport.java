package app.yellowtab.deliver;

import app.yellowtab.cut.Cutting;
import app.yellowtab.cut.Cutting.Piece;
import app.yellowtab.cut.PieceNames.Named;
import app.yellowtab.cut.Reason;
import app.yellowtab.files.CsvLine;
import app.yellowtab.model.cut.Batch;
import app.yellowtab.model.cut.BatchOrder;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/**
 * What became of the pages of a batch.
 *
 * @param sources that the batch has pages of, that which it is called after first
 * @param cut     the batch, with the order and the looks of its pages
 * @param cutting how
 * @param names   of the pieces, in order
 * @param places  where each piece is a document of the bundle, in words; empty for nowhere; none at all where no documents were
 *         made
 * @param made    what was written of each piece, in order; nothing of some where it was stopped or failed
 */
public record CutReport(List<Source> sources, Batch cut, Cutting cutting, List<Named> names, List<String> places,
        List<Made> made) {
    public CutReport {
        sources = List.copyOf(sources);
        names = List.copyOf(names);
        places = List.copyOf(places);
        made = List.copyOf(made);
    }

    /**
     * What was written of a piece.
     *
     * @param file  its file's name; empty for none
     * @param mail  the name of the e-mail it is attached to; empty for none
     * @param bytes of it as a PDF
     */
    public record Made(String file, String mail, long bytes) {
        /** Nothing was written. */
        static final Made NOTHING = new Made("", "", 0);
    }

    /** {@return the whole as a table of comma-separated values} */
    public String table() {
        return table(List.of(this));
    }

    /** {@return several as one table} */
    public static String table(List<CutReport> reports) {
        return CsvLine.of("batch", "piece", "pages", "page count", "title", "date", "document in", "file", "renamed", "e-mail",
                "bytes", "cut because")
                + reports.stream().map(CutReport::lines).collect(Collectors.joining());
    }

    /** {@return the file that the batch is called after} */
    public Source batch() {
        return sources.getFirst();
    }

    private String lines() {
        StringBuilder table = new StringBuilder();
        String batch = String.join(" + ", sources.stream().map(Source::fileName).toList());
        List<SourcePages> pages = BatchOrder.singles(cut);
        for (int i = 0; i < names.size(); i++) {
            Piece piece = cutting.pieces().get(i);
            Made its = i < made.size() ? made.get(i) : new Made("", "", 0);
            String title = names.get(i).words();
            boolean renamed = !its.file().isEmpty() && !its.file().equals(title + PieceFiles.ENDING);
            table.append(CsvLine.of(batch, i + 1, inFiles(piece.pages(), pages), piece.pages().size(), title,
                    names.get(i).date().shown(), i < places.size() ? places.get(i) : "", its.file(), renamed ? "yes" : "",
                    its.mail(), its.bytes() == 0 ? "" : its.bytes(),
                    String.join("; ", piece.reasons().stream().map(Reason::words).toList())));
        }
        for (Cutting.Dropped dropped : cutting.dropped()) table.append(CsvLine.of(batch, "",
                inFiles(List.of(dropped.page()), pages), 1, "", "", "", "", "", "", "", "dropped: " + dropped.reason().words()));
        return table.toString();
    }

    /** {@return the same, with all that was written} */
    CutReport with(List<Made> written) {
        return new CutReport(sources, cut, cutting, names, places, new ArrayList<>(written));
    }

    /** {@return which pages of which files stand at some places of the batch, in few words; of one file without its name} */
    private String inFiles(List<Integer> places, List<SourcePages> pages) {
        List<String> parts = new ArrayList<>();
        for (int i = 0; i < places.size();) {
            SourceId source = pages.get(places.get(i) - 1).source();
            List<Integer> its = new ArrayList<>();
            for (; i < places.size() && pages.get(places.get(i) - 1).source().equals(source); i++)
                its.add(pages.get(places.get(i) - 1).first());
            String name = sources.size() == 1 ? ""
                    : sources.stream().filter(one -> one.id().equals(source)).map(Source::fileName).findFirst().orElse("") + " ";
            parts.add(name + stretches(its));
        }
        return String.join("; ", parts);
    }

    /** {@return pages in few words, such as "1-3, 5"} */
    public static String stretches(List<Integer> pages) {
        StringBuilder words = new StringBuilder();
        for (int i = 0; i < pages.size();) {
            int end = i;
            while (end + 1 < pages.size() && pages.get(end + 1) == pages.get(end) + 1) end++;
            words.append(words.isEmpty() ? "" : ", ").append(pages.get(i)).append(end > i ? "-" + pages.get(end) : "");
            i = end + 1;
        }
        return words.toString();
    }
}
