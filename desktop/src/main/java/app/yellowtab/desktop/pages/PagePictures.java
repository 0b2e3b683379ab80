package app.yellowtab.desktop.pages;

import app.yellowtab.draw.DrawnPage;
import app.yellowtab.picture.PageRenderer;
import app.yellowtab.picture.PictureKey;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.IntBuffer;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import javafx.scene.image.Image;
import javafx.scene.image.PixelBuffer;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import org.jspecify.annotations.Nullable;
import org.slf4j.LoggerFactory;

/**
 * Pictures of pages, drawn in the background and kept: what is in view first, in the order in which it was asked for. What nobody
 * wants any more is not begun.
 */
public final class PagePictures implements AutoCloseable {
    /** As much of the memory as pictures may take; chosen by us. */
    private static final long MOST_BYTES = Runtime.getRuntime().maxMemory() / 10;
    /** One core stays free for the window. */
    private static final int MOST_THREADS = 4;
    /** After so long without work the files are closed that pictures were drawn from. */
    private static final long REST_MS = 15_000;

    /** What came of drawing. */
    public sealed interface Result {
        /**
         * @param widthPt  how wide it is on paper, in points
         * @param missing  how many pictures on it could not be drawn
         */
        record Picture(Image image, float widthPt, float heightPt, int missing) implements Result {
            /** {@return the picture of a page that was drawn} */
            public static Picture of(DrawnPage drawn) {
                return new Picture(PagePictures.image(drawn.image()), drawn.widthPt(), drawn.heightPt(), drawn.picturesMissing());
            }
        }

        /** @param message what can be told to the user; may be empty */
        record Failed(String message) implements Result {}
    }

    /** How soon a picture is wanted. */
    public enum Urgency { IN_VIEW, SOON }

    /** A picture that was asked for. */
    public interface Request {
        /** There was nothing to wait for, or nothing is. */
        Request DONE = () -> {};

        /** Tells that it is not wanted any more; it will not be shown. */
        void cancel();
    }

    private final PageRenderer renderer;
    private final Executor fxThread;
    private final Executor background;
    private final Cache<PictureKey, Result.Picture> kept = Caffeine.newBuilder().executor(Runnable::run).maximumWeight(MOST_BYTES)
            .weigher((PictureKey key,
                    Result.Picture picture) -> (int) (4 * picture.image().getWidth() * picture.image().getHeight()))
            .build();
    /** What nobody has begun with, in order. */
    private final Map<Urgency, Map<PictureKey, Job>> waiting =
            Map.of(Urgency.IN_VIEW, new LinkedHashMap<>(), Urgency.SOON, new LinkedHashMap<>());
    private final Map<PictureKey, Job> begun = new HashMap<>();
    private int threads;
    private boolean closed;

    /** A picture that is wanted, and by whom. */
    private record Job(PageRenderer.Order order, List<Wanted> wanted) {}

    /** Somebody who wants a picture. */
    private static final class Wanted implements Request {
        private final Consumer<Result> show;
        private volatile boolean cancelled;

        Wanted(Consumer<Result> show) {
            this.show = show;
        }

        @Override
        public void cancel() {
            cancelled = true;
        }
    }

    /**
     * @param renderer   closed with this
     * @param background runs what draws, each on a thread of its own, until this is closed
     */
    public PagePictures(PageRenderer renderer, Executor fxThread, Executor background) {
        this.renderer = renderer;
        this.fxThread = fxThread;
        this.background = background;
    }

    /** {@return what draws; it makes the orders} */
    public PageRenderer renderer() {
        return renderer;
    }

    /**
     * Asks for a picture.
     *
     * @param show gets it on the JavaFX thread, at once where it is known
     */
    public Request request(PageRenderer.Order order, Urgency urgency, Consumer<Result> show) {
        Result.Picture known = kept.getIfPresent(order.key());
        if (known != null) {
            show.accept(known);
            return Request.DONE;
        }
        Wanted wanted = new Wanted(show);
        synchronized (waiting) {
            Job job = begun.get(order.key());
            for (Map<PictureKey, Job> some : waiting.values()) if (job == null) job = some.remove(order.key());
            if (job == null) job = new Job(order, new ArrayList<>());
            job.wanted.add(wanted);
            // What was asked for in advance comes into view; what is in view does not leave it by being asked for in advance.
            if (!begun.containsKey(order.key())) waiting.get(urgency).put(order.key(), job);
            if (threads < Math.clamp(Runtime.getRuntime().availableProcessors() - 1, 1, MOST_THREADS)) begin();
            waiting.notifyAll();
        }
        return wanted;
    }

    private void begin() {
        threads++;
        background.execute(this::drawAll);
    }

    private void drawAll() {
        try {
            for (Optional<Job> next = next(); next.isPresent(); next = next()) draw(next.get());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** {@return what is to be drawn next, once there is something; empty at the end} */
    private Optional<Job> next() throws InterruptedException {
        synchronized (waiting) {
            while (!closed) {
                for (Urgency urgency : Urgency.values()) {
                    Job first = first(waiting.get(urgency));
                    if (first == null) continue;
                    begun.put(first.order.key(), first);
                    return Optional.of(first);
                }
                long since = System.nanoTime();
                waiting.wait(REST_MS);
                if (System.nanoTime() - since >= REST_MS * 1_000_000) renderer.rest();
            }
        }
        return Optional.empty();
    }

    /** {@return the first that somebody still wants, taken out} */
    private static @Nullable Job first(Map<PictureKey, Job> some) {
        while (!some.isEmpty()) {
            Job job = some.remove(some.keySet().iterator().next());
            job.wanted.removeIf(wanted -> wanted.cancelled);
            if (!job.wanted.isEmpty()) return job;
        }
        return null;
    }

    private void draw(Job job) {
        Result result = result(job.order);
        List<Wanted> wanted;
        synchronized (waiting) {
            begun.remove(job.order.key());
            if (result instanceof Result.Picture picture) kept.put(job.order.key(), picture);
            wanted = closed ? List.of() : List.copyOf(job.wanted);
        }
        if (wanted.isEmpty()) return;
        fxThread.execute(() -> {
            for (Wanted one : wanted) if (!one.cancelled) one.show.accept(result);
        });
    }

    private Result result(PageRenderer.Order order) {
        try {
            DrawnPage drawn = renderer.draw(order);
            return Result.Picture.of(drawn);
        } catch (Exception | Error e) {
            LoggerFactory.getLogger(PagePictures.class).warn("not drawn: {}", order.key(), e);
            return new Result.Failed(e instanceof IOException && e.getMessage() != null ? e.getMessage() : "");
        }
    }

    private static Image image(BufferedImage drawn) {
        int width = drawn.getWidth();
        int height = drawn.getHeight();
        IntBuffer pixels = IntBuffer.wrap(drawn.getRGB(0, 0, width, height, null, 0, width));
        return new WritableImage(new PixelBuffer<>(width, height, pixels, PixelFormat.getIntArgbPreInstance()));
    }

    @Override
    public void close() {
        synchronized (waiting) {
            closed = true;
            waiting.values().forEach(Map::clear);
            waiting.notifyAll();
        }
        renderer.close();
    }
}
