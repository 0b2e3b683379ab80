package app.yellowtab.desktop.pages;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;

import app.yellowtab.desktop.pages.PagePictures.Request;
import app.yellowtab.desktop.pages.PagePictures.Result;
import app.yellowtab.desktop.pages.PagePictures.Urgency;
import app.yellowtab.draw.DrawnPage;
import app.yellowtab.model.Comments;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.picture.PageRenderer;
import app.yellowtab.picture.PictureFiles;
import app.yellowtab.picture.PictureKey;
import app.yellowtab.source.SourceFiles;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** What is drawn, and in which order. The first page holds the threads up until all has been asked for. */
class PagePicturesTests {
    private final PagePictures pictures = new PagePictures(new PageRenderer(mock(SourceFiles.class), PictureFiles.NONE),
            Runnable::run, work -> Thread.ofPlatform().daemon().start(work));
    private final BlockingQueue<String> drawn = new LinkedBlockingQueue<>();
    private final BlockingQueue<String> shown = new LinkedBlockingQueue<>();
    private final CountDownLatch held = new CountDownLatch(1);
    private final AtomicInteger holding = new AtomicInteger();

    @AfterEach
    void end() {
        held.countDown();
        pictures.close();
    }

    private static PictureKey key(int page) {
        return new PictureKey(new PictureKey.Shown.OfSource("file", page, PageLook.PLAIN, Comments.KEPT), 10);
    }

    private Request request(int page, Urgency urgency) {
        return request(page, urgency, () -> {});
    }

    /** Does something while a page is drawn. */
    @FunctionalInterface
    private interface Work {
        void run() throws IOException, InterruptedException;
    }

    private Request request(int page, Urgency urgency, Work meanwhile) {
        return pictures.request(new PageRenderer.Order(key(page), () -> {
            drawn.add("page " + page);
            try {
                meanwhile.run();
            } catch (InterruptedException e) {
                throw new IOException(e);
            }
            return new PageRenderer.Drawn(new DrawnPage(new BufferedImage(10, 14, BufferedImage.TYPE_INT_RGB), 595, 842, 0),
                    false);
        }), urgency, result -> shown.add(page + (result instanceof Result.Failed failed ? " " + failed.message() : "")));
    }

    /** Has every thread wait until {@link #held} is let go. */
    private void holdUp() throws InterruptedException {
        int threads = Math.clamp(Runtime.getRuntime().availableProcessors() - 1, 1, 4);
        for (int i = 1; i <= threads; i++) {
            request(-i, Urgency.IN_VIEW, () -> {
                holding.incrementAndGet();
                held.await();
            });
        }
        while (holding.get() < threads) Thread.sleep(1);
        drawn.clear();
    }

    private List<String> next(BlockingQueue<String> from, int count) throws InterruptedException {
        List<String> all = new ArrayList<>();
        while (all.size() < count) {
            String one = from.poll(20, TimeUnit.SECONDS);
            if (one == null) throw new AssertionError("only " + all);
            if (!one.startsWith("-")) all.add(one);
        }
        return all;
    }

    @Test
    void whatIsInViewComesFirstAndWhatIsNotWantedNotAtAll() throws InterruptedException {
        holdUp();
        request(1, Urgency.SOON);
        Request gone = request(2, Urgency.IN_VIEW);
        request(3, Urgency.IN_VIEW);
        request(4, Urgency.SOON);
        request(4, Urgency.IN_VIEW);
        gone.cancel();
        held.countDown();
        assertThat(next(shown, 4)).containsExactlyInAnyOrder("3", "4", "4", "1");
        assertThat(drawn).containsExactlyInAnyOrder("page 3", "page 4", "page 1");
        if (Runtime.getRuntime().availableProcessors() <= 2) assertThat(drawn).containsExactly("page 3", "page 4", "page 1");
    }

    @Test
    void whatIsKnownIsShownAtOnce() throws InterruptedException {
        request(1, Urgency.IN_VIEW);
        next(shown, 1);
        request(1, Urgency.IN_VIEW);
        assertThat(shown.poll()).isEqualTo("1");
        assertThat(drawn).hasSize(1);
    }

    @Test
    void aFailureIsToldAndTriedAgainNextTime() throws InterruptedException {
        request(1, Urgency.IN_VIEW, () -> {
            throw new IOException("the file is gone");
        });
        assertThat(next(shown, 1)).containsExactly("1 the file is gone");
        request(1, Urgency.IN_VIEW, () -> {
            throw new NoClassDefFoundError("a part of a library");
        });
        assertThat(next(shown, 1)).as("an error of any kind takes nothing else along")
                .containsExactly("1 the page cannot be drawn");
        request(1, Urgency.IN_VIEW);
        assertThat(next(shown, 1)).containsExactly("1");
    }

    @Test
    void whatIsCancelledWhileItIsDrawnIsNotShownButKept() throws InterruptedException {
        CountDownLatch begun = new CountDownLatch(1);
        Request one = request(1, Urgency.IN_VIEW, () -> {
            begun.countDown();
            held.await();
        });
        begun.await();
        one.cancel();
        held.countDown();
        request(2, Urgency.IN_VIEW);
        assertThat(next(shown, 1)).containsExactly("2");
        request(1, Urgency.IN_VIEW);
        next(shown, 1);
        assertThat(drawn).containsExactly("page 1", "page 2");
    }

    @Test
    void nothingIsShownAfterTheEnd() throws InterruptedException {
        holdUp();
        request(1, Urgency.IN_VIEW);
        pictures.close();
        held.countDown();
        Thread.sleep(50);
        assertThat(shown).isEmpty();
        assertThat(drawn).isEmpty();
    }
}
