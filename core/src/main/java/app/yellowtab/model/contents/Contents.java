package app.yellowtab.model.contents;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;

/**
 * What stands in a section, or in the bundle outside of any section. Documents always come before
 * sub-sections, so that a printed index cannot be read two ways.
 */
public record Contents(List<Document> documents, List<Section> sections) {
    public static final Contents EMPTY = new Contents(List.of(), List.of());

    public Contents {
        documents = List.copyOf(documents);
        sections = List.copyOf(sections);
    }

    public boolean isEmpty() {
        return documents.isEmpty() && sections.isEmpty();
    }

    /** {@return the documents at every depth, in the order of the bundle} */
    public List<Document> allDocuments() {
        List<Document> all = new ArrayList<>(documents);
        forEachSection(section -> all.addAll(section.contents().documents()));
        return all;
    }

    /** Visits the sections at every depth, each before its sub-sections. */
    public void forEachSection(Consumer<Section> visit) {
        for (Section section : sections) {
            visit.accept(section);
            section.contents().forEachSection(visit);
        }
    }

    /** {@return these contents with every list of documents and sections, at every depth, put through a change} */
    public Contents mapAll(UnaryOperator<Contents> change) {
        Contents here = change.apply(this);
        return here.withSections(here.sections().stream()
                .map(section -> section.withContents(section.contents().mapAll(change))).toList());
    }

    public Contents withDocuments(List<Document> newDocuments) {
        return newDocuments.equals(documents) ? this : new Contents(newDocuments, sections);
    }

    public Contents withSections(List<Section> newSections) {
        return newSections.equals(sections) ? this : new Contents(documents, newSections);
    }
}
