package app.yellowtab.desktop.work;

import app.yellowtab.input.DrawnPage;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.io.IOException;
import java.nio.IntBuffer;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import javafx.scene.image.Image;
import javafx.scene.image.PixelBuffer;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import org.jspecify.annotations.Nullable;
import org.slf4j.LoggerFactory;

/**
 * Pictures drawn in the background and kept; of several that are asked for in haste, only the last is drawn.
 *
 * @param <K> what a picture shows
 */
public final class Pictures<K> {
    private static final int KEPT = 24;

    private record Wanted<K>(K key, Callable<DrawnPage> drawing, Consumer<Result> show) {}

    /** What came of drawing. */
    public sealed interface Result {
        /** @param missing how many pictures on it could not be drawn */
        record Picture(Image image, int missing) implements Result {}

        /** @param message what can be told to the user; may be empty */
        record Failed(String message) implements Result {}
    }

    private final Executor background;
    private final Executor fxThread;
    private final AtomicReference<@Nullable Wanted<K>> wanted = new AtomicReference<>();
    private final Map<K, Result.Picture> kept = new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<K, Result.Picture> eldest) {
            return size() > KEPT;
        }
    };

    /** @param background runs one task at a time */
    public Pictures(Executor background, Executor fxThread) {
        this.background = background;
        this.fxThread = fxThread;
    }

    /** Asks for a picture; called on the JavaFX thread, as is {@code show}. */
    public void ask(K key, Callable<DrawnPage> drawing, Consumer<Result> show) {
        Result.Picture known = kept.get(key);
        if (known != null) {
            wanted.set(null);
            show.accept(known);
            return;
        }
        wanted.set(new Wanted<>(key, drawing, show));
        background.execute(this::drawWanted);
    }

    private void drawWanted() {
        Wanted<K> next = wanted.getAndSet(null);
        if (next == null) return;
        Result result = result(next);
        fxThread.execute(() -> {
            if (result instanceof Result.Picture picture) kept.put(next.key, picture);
            if (wanted.get() == null) next.show.accept(result);
        });
    }

    private static Result result(Wanted<?> next) {
        try {
            DrawnPage drawn = next.drawing.call();
            return new Result.Picture(image(drawn.image()), drawn.picturesMissing());
        } catch (Exception | Error e) {
            LoggerFactory.getLogger(Pictures.class).warn("not drawn: {}", next.key, e);
            return new Result.Failed(e instanceof IOException && e.getMessage() != null ? e.getMessage() : "");
        }
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
