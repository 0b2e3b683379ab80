package app.yellowtab.leaf;

import app.yellowtab.facts.Length;
import app.yellowtab.model.page.LookedPage;
import app.yellowtab.model.page.Sheet;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import java.util.Map;
import java.util.Optional;

/** How large leaves are as they are seen. */
public final class LeafSheet {
    private static final double LEAST_MM = 1;
    private static final double LARGEST_MM = 5080;

    private LeafSheet() {}

    /** {@return the size of a leaf, turned and cropped as it will be produced; empty where that of its page is not known} */
    public static Optional<Sheet> of(Leaf leaf, Map<SourceId, Source> sources) {
        return switch (leaf.content()) {
            case Content.SourcePage page ->
                    Optional.ofNullable(sources.get(page.source())).flatMap(source -> source.about().pages().shape(page.page()))
                            .map(shape -> LookedPage.of(shape.seenWidthPt(), shape.seenHeightPt(), page.look()))
                            .map(looked -> new Sheet(millimetres(looked.widthPt()), millimetres(looked.heightPt())));
            case Content.Blank blank -> Optional.of(blank.look().sheet());
            default -> Optional.of(Sheet.A4);
        };
    }

    private static double millimetres(double points) {
        return Math.clamp(points * Length.MM_PER_PT, LEAST_MM, LARGEST_MM);
    }
}
