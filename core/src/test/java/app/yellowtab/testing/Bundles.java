package app.yellowtab.testing;

import app.yellowtab.facts.About;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Contents;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.Section;
import app.yellowtab.model.entry.DocumentDate;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.model.source.SourceKind;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Small bundles for tests; ids are the titles, so that failures can be read. */
public final class Bundles {
    private Bundles() {}

    public static Source source(String name, int pages) {
        return new Source(new SourceId(name), name + ".pdf", name + ".pdf", SourceKind.PDF, 1000,
                Integer.toHexString(name.hashCode()), "",
                pages, List.of(),
                name,
                DocumentDate.NOT_GIVEN, About.UNKNOWN, Optional.empty());
    }

    public static Document document(String name, int pages) {
        return new Document(new EntryId(name), name, "", DocumentDate.NOT_GIVEN, true, Optional.empty(),
                List.of(SourcePages.of(new SourceId(name), 1, pages)));
    }

    /** {@return a section of documents and sub-sections, in the order documents first} */
    public static Section section(String name, Object... entries) {
        List<Document> documents = new ArrayList<>();
        List<Section> sections = new ArrayList<>();
        for (Object entry : entries) {
            if (entry instanceof Document document) documents.add(document);
            else sections.add((Section) entry);
        }
        return new Section(new EntryId(name), name, new Contents(documents, sections));
    }

    /** {@return a bundle of documents and sections, with the sources that they need} */
    public static Bundle bundle(Object... entries) {
        Contents contents = section("all", entries).contents();
        return Bundle.EMPTY.withContents(contents).withSources(contents.allDocuments().stream()
                .map(document -> source(document.title(), document.pageCount())).toList());
    }

    /** {@return entries by their names, such as "a, b"} */
    public static Set<EntryId> ids(String names) {
        return Arrays.stream(names.split(", ")).map(EntryId::new).collect(Collectors.toSet());
    }

    /** {@return the pages of a document on one line, such as "a1 a2 b1"} */
    public static String pages(Document document) {
        List<String> pages = new ArrayList<>();
        for (Run run : document.runs()) for (int n = 1; n <= run.pageCount(); n++)
            pages.add(run instanceof SourcePages of ? of.source().value() + of.key(n).page() : "free");
        return String.join(" ", pages);
    }

    /** {@return the order of a bundle on one line, such as "x A(y B(z))"} */
    public static String order(Bundle bundle) {
        return order(bundle.contents());
    }

    private static String order(Contents contents) {
        List<String> parts = new ArrayList<>(contents.documents().stream().map(Document::title).toList());
        parts.addAll(contents.sections().stream().map(s -> s.title() + "(" + order(s.contents()) + ")").toList());
        return parts.stream().collect(Collectors.joining(" "));
    }
}
