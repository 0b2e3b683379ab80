package app.yellowtab.desktop.reader;

import app.yellowtab.assemble.LeafPreview;
import app.yellowtab.plan.Leaf;
import app.yellowtab.plan.Plan;
import app.yellowtab.source.SourceFiles;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.io.IOException;
import java.nio.IntBuffer;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import javafx.scene.image.Image;
import javafx.scene.image.PixelBuffer;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import org.jspecify.annotations.Nullable;
import org.slf4j.LoggerFactory;

/** Pictures of leaves, drawn in the background and kept; of several that are asked for in haste, only the last is drawn. */
final class PagePictures {
    private static final int KEPT = 24;

    /**
     * What a picture shows.
     *
     * @param words what is set on cover and index pages, which change while their leaf does not
     */
    private record Key(Leaf leaf, int widthPx, Object words) {}

    private record Wanted(Plan plan, Leaf leaf, int widthPx, Consumer<Result> show) {}

    /** What came of drawing a leaf. */
    sealed interface Result {
        record Picture(Image image) implements Result {}

        record Failed(String message) implements Result {}
    }

    private final SourceFiles sources;
    private final Executor background;
    private final Executor fxThread;
    private final AtomicReference<@Nullable Wanted> wanted = new AtomicReference<>();
    private final Map<Key, Image> kept = new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Key, Image> eldest) {
            return size() > KEPT;
        }
    };

    /** @param background runs one task at a time */
    PagePictures(SourceFiles sources, Executor background, Executor fxThread) {
        this.sources = sources;
        this.background = background;
        this.fxThread = fxThread;
    }

    /** Asks for a picture; called on the JavaFX thread, as is {@code show}. */
    void ask(Plan plan, int number, int widthPx, Consumer<Result> show) {
        Leaf leaf = plan.leaf(number);
        Image known = kept.get(key(plan, leaf, widthPx));
        if (known != null) {
            wanted.set(null);
            show.accept(new Result.Picture(known));
            return;
        }
        wanted.set(new Wanted(plan, leaf, widthPx, show));
        background.execute(this::drawWanted);
    }

    private void drawWanted() {
        Wanted next = wanted.getAndSet(null);
        if (next == null) return;
        Result result;
        try {
            result = new Result.Picture(image(LeafPreview.draw(next.plan, sources, next.leaf.number(), next.widthPx)));
        } catch (IOException | RuntimeException | OutOfMemoryError | StackOverflowError e) {
            LoggerFactory.getLogger(PagePictures.class).warn("leaf {} not drawn", next.leaf.number(), e);
            result = new Result.Failed(e instanceof IOException && e.getMessage() != null ? e.getMessage() : "");
        }
        Result drawn = result;
        fxThread.execute(() -> {
            if (drawn instanceof Result.Picture picture) kept.put(key(next.plan, next.leaf, next.widthPx), picture.image());
            if (wanted.get() == null) next.show.accept(drawn);
        });
    }

    private static Key key(Plan plan, Leaf leaf, int widthPx) {
        return new Key(leaf, widthPx, switch (leaf) {
            case Leaf.Cover cover -> plan.heading();
            case Leaf.IndexSheet index -> List.of(plan.headingLines(), plan.indexSheets().get(index.sheet()));
            case Leaf.SectionTitle s -> "";
            case Leaf.Blank b -> "";
            case Leaf.Divider d -> "";
            case Leaf.SourcePage s -> "";
        });
    }

    private static Image image(BufferedImage drawn) {
        BufferedImage argb = new BufferedImage(drawn.getWidth(), drawn.getHeight(), BufferedImage.TYPE_INT_ARGB_PRE);
        var g = argb.createGraphics();
        g.drawImage(drawn, 0, 0, null);
        g.dispose();
        IntBuffer pixels = IntBuffer.wrap(((DataBufferInt) argb.getRaster().getDataBuffer()).getData());
        return new WritableImage(new PixelBuffer<>(argb.getWidth(), argb.getHeight(), pixels, PixelFormat.getIntArgbPreInstance()));
    }
}
