package app.yellowtab.testing;

import app.yellowtab.draw.DrawnPage;
import app.yellowtab.picture.PageRenderer;
import app.yellowtab.picture.PictureFiles;
import app.yellowtab.plan.Plan;
import app.yellowtab.source.SourceFiles;
import java.io.IOException;

/** Leaves drawn for the screen. */
public final class LeafPictures {
    private LeafPictures() {}

    /** {@return a picture of a leaf by its index in the plan, counted from 0} */
    public static DrawnPage draw(Plan plan, SourceFiles sources, int index, int widthPx) throws IOException {
        try (PageRenderer renderer = new PageRenderer(sources, PictureFiles.NONE)) {
            return renderer.draw(renderer.leaf(plan, plan.leaf(index), widthPx));
        }
    }
}
