package app.yellowtab.desktop.reader;

import app.yellowtab.assemble.LeafPreview;
import app.yellowtab.desktop.work.Pictures;
import app.yellowtab.mark.Mark;
import app.yellowtab.model.Comments;
import app.yellowtab.model.source.ConversionKey;
import app.yellowtab.model.source.Source;
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
     * What a picture shows: whatever changes it is in here.
     *
     * @param content  what the leaf is of
     * @param marks    what is set on it
     * @param words    what else is set on it: on cover and index pages, which change while their content does not
     * @param comments what becomes of a source's comments
     * @param file     which file its page is of: the source's own, or which conversion of it
     * @param unlocked how often passwords have been given by now, which may open what was locked
     */
    record Key(Content content, List<Mark> marks, Object words, Comments comments, String file, int unlocked, int widthPx) {}

    private final SourceFiles sources;
    private final Pictures<Key> pictures;

    /** @param background runs one task at a time */
    PagePictures(SourceFiles sources, Executor background, Executor fxThread) {
        this.sources = sources;
        this.pictures = new Pictures<>(background, fxThread);
    }

    /**
     * Asks for a picture; called on the JavaFX thread, as is {@code show}.
     *
     * @param index    the leaf's place in the plan, counted from 0
     * @param unlocked how often passwords have been given
     */
    void ask(Plan plan, int index, int unlocked, int widthPx, Consumer<Pictures.Result> show) {
        pictures.ask(key(plan, plan.leaf(index), unlocked, widthPx), () -> LeafPreview.draw(plan, sources, index, widthPx), show);
    }

    Key key(Plan plan, Leaf leaf, int unlocked, int widthPx) {
        Object words = switch (leaf.content()) {
            case Content.Cover cover -> plan.coverSheets().get(cover.sheet());
            case Content.IndexSheet index -> List.of(plan.headingLines(), plan.indexSheets().get(index.sheet()));
            case Content.SectionTitle s -> "";
            case Content.Blank b -> "";
            case Content.Divider d -> "";
            case Content.Slip s -> "";
            case Content.SourcePage s -> "";
        };
        String file = leaf.content() instanceof Content.SourcePage page ? fileOf(sources.source(page.source())) : "";
        return new Key(leaf.content(), plan.marksOn(leaf), words, plan.comments(), file, unlocked, widthPx);
    }

    private static String fileOf(Source source) {
        return source.conversion().map(ConversionKey::value).orElse(source.sha256());
    }
}
