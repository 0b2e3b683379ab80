package app.yellowtab.edit;

import app.yellowtab.edit.number.NumberPreset;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.FromSources;
import app.yellowtab.model.Layout;
import app.yellowtab.model.contents.Contents;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.Section;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.number.BundleNumber;
import app.yellowtab.model.number.Numbering;
import app.yellowtab.model.number.RunningLine;
import app.yellowtab.model.number.Series;
import java.util.List;
import java.util.Objects;

/**
 * How bundles of a kind are built: their sections, the entries that they always have, and what they look like. It has no files.
 *
 * @param called      its name; not blank
 * @param about       what it is for; may be empty
 * @param layout      which pages there are beside those of the documents
 * @param fromSources what comes over from the files beside their pages
 * @param number      how the numbers are set that run through the bundle
 * @param series      the numbers that run over all pages beside the bundle's own
 * @param lines       at head and foot of all pages
 * @param entries     outside of any section
 * @param sections    in order
 */
public record Template(String called, String about, Layout layout, FromSources fromSources, BundleNumber number,
        List<Series> series, List<RunningLine> lines, List<Entry> entries, List<Part> sections) {
    public Template {
        Objects.requireNonNull(number, "number");
        series = List.copyOf(series);
        lines = List.copyOf(lines);
        Objects.requireNonNull(about, "about");
        Objects.requireNonNull(layout, "layout");
        Objects.requireNonNull(fromSources, "fromSources");
        if (called.isBlank()) throw new IllegalArgumentException("\"called\" must not be blank");
        entries = List.copyOf(entries);
        sections = List.copyOf(sections);
    }

    /**
     * A document that bundles of the kind have.
     *
     * @param pages how many are kept free for it, at least 1
     */
    public record Entry(String title, int pages) {
        public Entry {
            if (title.isBlank()) throw new IllegalArgumentException("\"title\" must not be blank");
            if (pages < 1) throw new IllegalArgumentException("\"pages\" must be >= 1, got " + pages);
        }
    }

    /** A section. */
    public record Part(String title, List<Entry> entries, List<Part> sections) {
        public Part {
            if (title.isBlank()) throw new IllegalArgumentException("\"title\" must not be blank");
            entries = List.copyOf(entries);
            sections = List.copyOf(sections);
        }
    }

    /**
     * {@return the structure of a bundle} Its sections are in it; its documents, as placeholders, only if they are wanted,
     * otherwise only those that are placeholders already.
     */
    public static Template of(Bundle bundle, String called, boolean withDocuments) {
        NumberPreset numbers = NumberPreset.of(bundle);
        return new Template(called, "", bundle.layout().withPaper(bundle.layout().paper().withSingleSided(List.of()))
                .withVolumes(bundle.layout().volumes().withSections(List.of()).withKept(List.of())),
                bundle.fromSources(), numbers.number(), numbers.series(), numbers.lines(),
                entries(bundle.contents(), withDocuments), parts(bundle.contents(), withDocuments));
    }

    private static List<Entry> entries(Contents contents, boolean withDocuments) {
        return contents.documents().stream().filter(document -> withDocuments || document.isPlaceholder())
                .map(document -> new Entry(document.title(), Math.max(1, Placeholders.reserved(document)))).toList();
    }

    private static List<Part> parts(Contents contents, boolean withDocuments) {
        return contents.sections().stream().map(section -> new Part(section.title(), entries(section.contents(), withDocuments),
                parts(section.contents(), withDocuments))).toList();
    }

    /** {@return a bundle that is built like this, under a title} */
    public Bundle begun(String title) {
        return Bundle.EMPTY.withHeading(Bundle.EMPTY.heading().withTitle(title)).withLayout(layout).withFromSources(fromSources)
                .withNumbering(Numbering.NONE.withBundle(number).withSeries(series).withLines(lines))
                .withContents(contents(entries, sections));
    }

    private static Contents contents(List<Entry> entries, List<Part> parts) {
        List<Document> documents = entries.stream().map(entry -> Placeholders.placeholder(entry.title(), entry.pages())).toList();
        return new Contents(documents, parts.stream()
                .map(part -> new Section(EntryId.fresh(), part.title(), contents(part.entries(), part.sections()))).toList());
    }
}
