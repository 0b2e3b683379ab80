package app.yellowtab.desktop.reader;

import app.yellowtab.assemble.LeafPreview;
import app.yellowtab.desktop.work.Pictures;
import app.yellowtab.plan.Content;
import app.yellowtab.plan.Leaf;
import app.yellowtab.plan.Plan;
import app.yellowtab.source.SourceFiles;
import java.util.List;
import java.util.concurrent.Executor;
import java.util.function.Consumer;

/** Pictures of leaves as they will be produced. */
final class PagePictures {
    /**
     * What a picture shows.
     *
     * @param words what is set on cover and index pages, which change while their leaf does not
     */
    private record Key(Leaf leaf, int widthPx, Object words) {}

    private final SourceFiles sources;
    private final Pictures<Key> pictures;

    /** @param background runs one task at a time */
    PagePictures(SourceFiles sources, Executor background, Executor fxThread) {
        this.sources = sources;
        this.pictures = new Pictures<>(background, fxThread);
    }

    /** Asks for a picture; called on the JavaFX thread, as is {@code show}. */
    void ask(Plan plan, int index, int widthPx, Consumer<Pictures.Result> show) {
        pictures.ask(key(plan, plan.leaf(index), widthPx), () -> LeafPreview.draw(plan, sources, index, widthPx), show);
    }

    private static Key key(Plan plan, Leaf leaf, int widthPx) {
        return new Key(leaf, widthPx, switch (leaf.content()) {
            case Content.Cover cover -> plan.coverSheets().get(cover.sheet());
            case Content.IndexSheet index -> List.of(plan.headingLines(), plan.indexSheets().get(index.sheet()));
            case Content.SectionTitle s -> "";
            case Content.Blank b -> "";
            case Content.Divider d -> "";
            case Content.Slip s -> "";
            case Content.SourcePage s -> "";
        });
    }
}
