package app.yellowtab.desktop.reader;

import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.pages.PagePane;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.facts.PageText;
import app.yellowtab.find.BundleWords;
import app.yellowtab.find.WordFinder;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.model.page.Area;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Marks what was found on the page in view, that which is looked at apart. For the JavaFX thread. */
final class HitMarks {
    private final Workspace workspace;
    private final BundleWords words;
    private final FindDesk finding;
    private final PagePane page;
    private Marked marked = new Marked(null, "", -1);

    HitMarks(Workspace workspace, BundleWords words, FindDesk finding, PagePane page) {
        this.workspace = workspace;
        this.words = words;
        this.finding = finding;
        this.page = page;
    }

    /** Of which page hits are marked, and which of them apart; none where nothing is sought. */
    private record Marked(@Nullable Leaf leaf, String sought, int looked) {}

    /** Marks what was found on a page, which is in view; where it stands is read in the background. */
    void mark(Leaf leaf) {
        FindDesk.FindState state = finding.stateProperty().get();
        int looked = state.looked().filter(at -> at.leaf() == leaf.index()).map(FindDesk.At::nth).orElse(-1);
        Marked wanted = new Marked(leaf, state.on(leaf.index()).isEmpty() ? "" : state.sought(), looked);
        if (wanted.equals(marked)) return;
        boolean sameHits = leaf.equals(marked.leaf()) && wanted.sought().equals(marked.sought());
        marked = wanted;
        if (!sameHits) mark(List.of(), -1);
        if (wanted.sought().isEmpty()) return;
        workspace.jobs().quietly(() -> hits(leaf, wanted.sought()), hits -> {
            if (wanted.equals(marked)) mark(hits, looked);
        });
    }

    private List<WordFinder.Hit> hits(Leaf leaf, String sought) {
        try {
            return new WordFinder(sought).on(words.of(leaf));
        } catch (IOException unreadable) {
            return List.of();
        }
    }

    private void mark(List<WordFinder.Hit> hits, int looked) {
        List<Area> others = new ArrayList<>();
        for (int i = 0; i < hits.size(); i++) if (i != looked) others.addAll(areas(hits.get(i)));
        page.mark(Styles.FOUND_WORDS, others);
        page.mark(Styles.LOOKED_WORDS, looked < 0 || looked >= hits.size() ? List.of() : areas(hits.get(looked)));
    }

    /** {@return the areas of a hit, one for each line that it stands in} */
    private static List<Area> areas(WordFinder.Hit hit) {
        List<List<PageText.Word>> lines = new ArrayList<>();
        for (PageText.Word word : hit.words()) {
            if (lines.isEmpty() || lines.getLast().getLast().leftMm() > word.leftMm()) lines.add(new ArrayList<>());
            lines.getLast().add(word);
        }
        return lines.stream().map(PageSelection::around).toList();
    }
}
