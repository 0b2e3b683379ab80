package app.yellowtab.find;

import app.yellowtab.facts.PageText.Word;
import app.yellowtab.mark.Mark;
import app.yellowtab.mark.MarkSetter.Placed;
import app.yellowtab.model.page.Sheet;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Leaf;
import app.yellowtab.plan.LeafSheet;
import app.yellowtab.plan.Plan;
import java.awt.geom.Rectangle2D;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Where a mark would stand on words of the page, its own number among them. */
public final class MarkClashes {
    private static final double PT_PER_MM = 72 / 25.4;
    private static final double MM_PER_PT = 25.4 / 72;
    /** Letters reach below the line that they stand on, by so much of their height. */
    private static final double BELOW = 0.25;

    private MarkClashes() {}

    /**
     * A mark that stands on words.
     *
     * @param words that it stands on, with a space between them
     */
    public record Clash(Mark mark, String words) {}

    /**
     * {@return the first mark of a page that stands on words; empty where none does}
     *
     * @throws IOException if the page's file is gone, is locked or cannot be made out
     */
    public static Optional<Clash> on(Plan plan, Leaf leaf, Map<SourceId, Source> sources, BundleWords words) throws IOException {
        List<Mark> marks = plan.marksOn(leaf);
        Optional<Sheet> sheet = LeafSheet.of(leaf, sources);
        if (marks.isEmpty() || sheet.isEmpty()) return Optional.empty();
        List<List<Word>> lines = words.of(leaf).lines();
        if (lines.isEmpty()) return Optional.empty();
        float wide = (float) (sheet.get().widthMm() * PT_PER_MM);
        float high = (float) (sheet.get().heightMm() * PT_PER_MM);
        for (Mark mark : marks) {
            float[] box = Placed.of(mark, wide, high).inkPt();
            Rectangle2D seen = new Rectangle2D.Double(box[0] * MM_PER_PT, (high - box[1] - box[3]) * MM_PER_PT, box[2] * MM_PER_PT, box[3] * MM_PER_PT);
            List<String> under = new ArrayList<>();
            for (List<Word> line : lines) for (Word word : line) if (seen.intersects(word.leftMm(), word.topMm(), Math.max(0.1, word.widthMm()), Math.max(0.1, word.heightMm() * (1 + BELOW)))) under.add(word.text());
            if (!under.isEmpty()) return Optional.of(new Clash(mark, String.join(" ", under)));
        }
        return Optional.empty();
    }
}
