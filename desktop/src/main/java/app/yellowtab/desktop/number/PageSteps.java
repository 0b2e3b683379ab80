package app.yellowtab.desktop.number;

import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.leaf.LeafSheet;
import app.yellowtab.model.page.Sheet;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Plan;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.Predicate;

/** Goes to pages on which numbers must be looked at, round and round. Knows no node. For the JavaFX thread. */
public final class PageSteps {
    private final Workspace workspace;
    private final Consumer<String> said;

    /** @param said takes what is to be said where there is no such page */
    public PageSteps(Workspace workspace, Consumer<String> said) {
        this.workspace = workspace;
        this.said = said;
    }

    /** Goes to the next landscape page. */
    public void nextLandscape() {
        Map<SourceId, Source> sources = workspace.bundle().sourcesById();
        next(leaf -> LeafSheet.of(leaf, sources).filter(PageSteps::isLandscape).isPresent(), "number.noLandscape");
    }

    /** Goes to the next page that was turned, straightened, cropped or brought to another sheet. */
    public void nextLooked() {
        next(leaf -> leaf.content() instanceof Content.SourcePage page && !page.look().isPlain(), "number.noLooked");
    }

    private static boolean isLandscape(Sheet sheet) {
        return sheet.widthMm() > sheet.heightMm();
    }

    private void next(Predicate<Leaf> wanted, String none) {
        Plan plan = workspace.plan();
        for (int far = 1; far <= plan.pageCount(); far++) {
            int at = (workspace.leaf() + far) % plan.pageCount();
            if (!wanted.test(plan.leaf(at))) continue;
            workspace.goTo(at);
            return;
        }
        said.accept(Words.of(none));
    }
}
