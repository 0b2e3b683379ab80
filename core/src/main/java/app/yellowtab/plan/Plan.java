package app.yellowtab.plan;

import app.yellowtab.cover.CoverPart;
import app.yellowtab.cover.CoverSetter;
import app.yellowtab.finding.Subject;
import app.yellowtab.index.IndexRow;
import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Enclosure;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.leaf.Parting;
import app.yellowtab.leaf.PlannedBookmark;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.leaf.PlannedVolume;
import app.yellowtab.mark.Mark;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.CaseHeading;
import app.yellowtab.model.Comments;
import app.yellowtab.model.Volumes;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.number.GivenNumber;
import app.yellowtab.model.number.SeriesId;
import app.yellowtab.model.run.LookAgain;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.pdf.Face;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntUnaryOperator;

/**
 * The whole product before anything is written. Immutable.
 *
 * @param heading    the case heading
 * @param comments   what becomes of the sources' comments
 * @param leaves     every leaf, each at its index
 * @param entries    sections and documents in order, those that the index does not list included
 * @param headingLines the heading of each index page, set in lines
 * @param indexSheets the rows of each index page
 * @param bookmarks  in order
 * @param coverSheets what stands on each page of the cover; none where there is no cover
 * @param agreement  whether the index says how entries stand between the parties
 * @param enclosures the files that are put beside the produced bundle
 * @param marking    which marks leaves bear
 * @param parting    how the set for the screen is divided into files
 * @param toLookAt   pages that somebody must look at before they go out
 */
public record Plan(CaseHeading heading, Comments comments, List<Leaf> leaves, List<PlannedEntry> entries,
        List<String> headingLines,
        List<List<IndexRow>> indexSheets, List<PlannedBookmark> bookmarks, List<List<CoverPart>> coverSheets, boolean agreement,
        List<Enclosure> enclosures, Marking marking, Parting parting, List<LookAgain> toLookAt) {
    public int pageCount() {
        return leaves.size();
    }

    /** {@return the same as one of its volumes has it, with a cover of its own} */
    public Plan in(PlannedVolume volume) {
        return new Plan(heading, comments, leaves, entries, headingLines, indexSheets, bookmarks,
                coverSheets.isEmpty() ? coverSheets : CoverSetter.sheets(heading, Optional.of(volume.words())), agreement,
                enclosures, marking,
                parting, toLookAt);
    }

    /** {@return where the volumes begin, to be kept} */
    public List<Volumes.Start> starts() {
        return starts(parting.volumes().stream().map(PlannedVolume::first).toList());
    }

    /**
     * {@return where volumes would begin that are filled as far as goes, to be kept}
     *
     * @param fits gives how far a volume reaches that begins with a leaf: the index of the first leaf that has no room in it
     */
    public List<Volumes.Start> starts(Volumes volumes, IntUnaryOperator fits) {
        return starts(VolumePlanner.starts(this, volumes, fits));
    }

    private List<Volumes.Start> starts(List<Integer> firsts) {
        List<Volumes.Start> starts = new ArrayList<>();
        for (int first : firsts) {
            EntryId entry = Reach.entry(leaf(first).content()).orElseThrow();
            boolean isWithin = first > 0 && Reach.entry(leaf(first - 1).content()).filter(entry::equals).isPresent();
            starts.add(new Volumes.Start(entry, isWithin ? leaf(first).key() : Optional.empty()));
        }
        return starts;
    }

    /** {@return how many documents it holds} */
    public int documentCount() {
        int count = 0;
        for (PlannedEntry entry : entries) if (entry instanceof PlannedEntry.PlannedDocument) count++;
        return count;
    }

    /** {@return the leaf at an index, counted from 0} */
    public Leaf leaf(int index) {
        return leaves.get(index);
    }

    /**
     * {@return the leaf that bears a number, in these words, whatever the case of its letters: one of ours, or one of the other
     * side}
     */
    public Optional<Leaf> leafNumbered(String words) {
        for (Leaf leaf : leaves) if (leaf.label().equalsIgnoreCase(words) && leaf.number().isPresent()) return Optional.of(leaf);
        for (Marking.PlannedSeries series : marking.series()) for (Leaf leaf : leaves)
            if (!words.isEmpty() && series.words(leaf.index()).equalsIgnoreCase(words)) return Optional.of(leaf);
        Covers.Carrier theirs = marking.covers().theirs().get(words.strip().toLowerCase(Locale.ROOT));
        return theirs == null ? Optional.empty()
                : leaves.stream().filter(leaf -> leaf.content() instanceof Content.SourcePage page
                        && page.source().equals(theirs.source()) && page.page() == theirs.page()).findFirst();
    }

    /** {@return the highest number that is printed, in its words; empty where none is} */
    public String lastNumber() {
        for (Leaf leaf : leaves.reversed()) if (leaf.number().isPresent()) return leaf.label();
        return "";
    }

    /** {@return what is set on a leaf} Made when it is asked for, so that twenty thousand leaves with many marks cost nothing. */
    public List<Mark> marksOn(Leaf leaf) {
        return marking.on(leaf);
    }

    /** {@return the numbers of a series as the pages of the bundle that was planned bear them, to be given for ever} */
    public List<GivenNumber> numbersOf(Bundle planned, SeriesId series) {
        return SeriesPlanner.numbers(this, planned, series);
    }

    /** {@return all letters that marks are made of, by typeface; none where nothing is numbered} */
    public Map<Face, Set<Integer>> markLetters() {
        return marking.letters(leaves);
    }

    /**
     * {@return the leaf to look at for a finding: the page that it is about, or the first one; empty where it is about no leaf}
     */
    public Optional<Leaf> leafOf(Subject subject) {
        return switch (subject) {
            case Subject.OfSource source -> leaves.stream().filter(leaf -> leaf.content() instanceof Content.SourcePage shown
                    && shown.source().value().equals(source.id()) && (source.page() == 0 || shown.page() == source.page()))
                    .findFirst();
            case Subject.OfEntry listed -> entry(new EntryId(listed.id())).map(entry -> leaf(entry.span().first()));
            case Subject.OfProduced produced -> produced.page() >= 1 && produced.page() <= leaves.size()
                    ? Optional.of(leaf(produced.page() - 1)) : Optional.empty();
            case Subject.OfFile file -> Optional.empty();
            case Subject.OfThing thing -> Optional.empty();
        };
    }

    /**
     * {@return those pages among leaves that nobody has looked at since their file has changed; of one that is gone, where there
     * are leaves of the document that had it}
     */
    public List<LookAgain> toLookAt(List<Leaf> some) {
        if (toLookAt.isEmpty()) return List.of();
        Set<PageKey> keys = new HashSet<>();
        Set<EntryId> documents = new HashSet<>();
        for (Leaf leaf : some) {
            leaf.key().ifPresent(keys::add);
            Reach.entry(leaf.content()).ifPresent(documents::add);
        }
        return toLookAt.stream().filter(again -> again.page().map(keys::contains).orElse(documents.contains(again.document())))
                .toList();
    }

    /** {@return the section or document that a leaf is a page of, or stands before; empty for cover and index} */
    public Optional<PlannedEntry> entryAt(int leaf) {
        return Reach.entry(leaf(leaf).content()).flatMap(this::entry);
    }

    /** {@return the letter of the outermost section that a leaf stands in; empty where it stands in none} */
    public String letterAt(int leaf) {
        for (PlannedEntry entry : entries) {
            if (entry instanceof PlannedEntry.PlannedSection section && section.depth() == 0 && section.span().first() <= leaf
                    && leaf <= section.span().last())
                return section.label();
        }
        return "";
    }

    /** {@return the section or document with an id} */
    public Optional<PlannedEntry> entry(EntryId id) {
        return entries.stream().filter(entry -> entry.id().equals(id)).findFirst();
    }
}
