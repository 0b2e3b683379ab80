package app.yellowtab.plan;

import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.model.PaperSet;
import app.yellowtab.model.PaperSet.Beginning;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.Section;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.run.BlankLook;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** The leaves that only the set to be printed has, put in while a plan is made. */
final class PaperLeaves {
    private final PaperSet set;
    private final List<Leaf> leaves;
    private final Set<EntryId> singleSided;

    /** @param leaves of the plan, as far as it is made */
    PaperLeaves(PaperSet set, List<Leaf> leaves) {
        this.set = set;
        this.leaves = leaves;
        this.singleSided = new HashSet<>(set.singleSided());
    }

    /** Comes to a section. */
    void before(Section section, String label) {
        if (singleSided.contains(section.id()))
            section.contents().allDocuments().forEach(document -> singleSided.add(document.id()));
        if (set.begins() != Beginning.NOTHING) toTheRight(section.id());
        if (set.tabs() != Beginning.NOTHING) tab(section.id(), label, section.title());
    }

    /** Comes to a document, before what separates it from the one before. */
    void before(Document document, int tab) {
        if (set.begins() == Beginning.DOCUMENTS || singleSided.contains(document.id())) toTheRight(document.id());
        if (set.tabs() == Beginning.DOCUMENTS && tab > 0) tab(document.id(), String.valueOf(tab), document.title());
    }

    /** Comes to the pages of a document, behind what separates it from the one before. */
    void beforePages(Document document) {
        if (set.begins() == Beginning.DOCUMENTS || singleSided.contains(document.id())) toTheRight(document.id());
    }

    /** Has placed a page of a document. */
    void after(Document document) {
        if (singleSided.contains(document.id())) toTheRight(document.id());
    }

    boolean hasSingleSided(Document document) {
        return set.twoSided() && singleSided.contains(document.id());
    }

    private void toTheRight(EntryId entry) {
        if (set.twoSided() && leaves.size() % 2 == 1) leaves.add(blank(entry));
    }

    private void tab(EntryId entry, String label, String title) {
        toTheRight(entry);
        leaves.add(new Leaf(leaves.size(), Optional.empty(), Optional.empty(), true,
                new Content.TabSheet(entry, label, title, set.note())));
        toTheRight(entry);
    }

    private Leaf blank(EntryId entry) {
        return new Leaf(leaves.size(), Optional.empty(), Optional.empty(), true, new Content.Blank(entry, BlankLook.PLAIN));
    }
}
