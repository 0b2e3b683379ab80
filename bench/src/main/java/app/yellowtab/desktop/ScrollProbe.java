package app.yellowtab.desktop;

import app.yellowtab.desktop.work.Stage;
import app.yellowtab.edit.Edits;
import app.yellowtab.intake.FoundFolder;
import app.yellowtab.intake.Intake;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Reading;
import app.yellowtab.store.BundleFolder;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.CountDownLatch;
import javafx.animation.AnimationTimer;
import javafx.scene.control.Button;
import javafx.scene.control.skin.VirtualFlow;

/** The pages of a large bundle scrolling in the real window: how long a frame takes, beside one in which nothing moves. */
public final class ScrollProbe extends Probe {
    private static final int FRAMES = 400;
    private static final int A_FRAME_PX = 24;
    private static final int PERCENT_95 = 95;
    private static List<Path> files = List.of();

    /** Made by JavaFX. */
    public ScrollProbe() {
        // Nothing is needed.
    }

    /**
     * Measures, prints figures and ratios, and ends the program.
     *
     * @param documents the files that the bundle is made of
     */
    public static void run(List<Path> documents) {
        files = List.copyOf(documents);
        launch(ScrollProbe.class);
    }

    @Override
    void fill(Path folder) throws IOException {
        takeIn(folder, files);
    }

    /** Makes the folder of a bundle of files. */
    static void takeIn(Path folder, List<Path> files) throws IOException {
        try (BundleFolder place = BundleFolder.create(folder, Bundle.EMPTY)) {
            Intake.Taken taken = new Intake(place, List.of(), Reading.STANDARD).bringIn(FoundFolder.of(files, new ArrayList<>()),
                    Intake.Listener.NONE, () -> false);
            place.know(taken.sources());
            place.save(Edits.append(Edits.addSources(Bundle.EMPTY, taken.sources()), taken.contents()));
        }
    }

    @Override
    void measure() throws InterruptedException {
        open();
        Thread.sleep(4000);
        onFxThread(() -> desk().workspace().orElseThrow().stageProperty().set(Stage.ARRANGE));
        Thread.sleep(2000);
        onFxThread(() -> ((Button) window().getScene().lookup("#sheet-pages")).fire());
        Thread.sleep(5000);
        System.out.printf(Locale.ROOT, "%n%,d pages on the table%n", desk().workspace().orElseThrow().plan().pageCount());
        List<Double> still = frames(0);
        List<Double> first = frames(A_FRAME_PX);
        Thread.sleep(8000);
        List<Double> again = frames(-A_FRAME_PX);
        print("nothing moves", still, still);
        print("scrolling, pictures drawn meanwhile", first, still);
        print("scrolling back, pictures there", again, still);
    }

    /** {@return how long after the one before each frame came, in milliseconds} */
    private List<Double> frames(int pixels) throws InterruptedException {
        List<Double> times = new ArrayList<>();
        CountDownLatch done = new CountDownLatch(1);
        onFxThread(() -> {
            VirtualFlow<?> flow = (VirtualFlow<?>) window().getScene().lookup("#pages-view #light-table .virtual-flow");
            new AnimationTimer() {
                private long before;

                @Override
                public void handle(long now) {
                    long at = System.nanoTime();
                    if (before > 0) times.add((at - before) / MILLI);
                    before = at;
                    if (pixels != 0) flow.scrollPixels(pixels);
                    if (times.size() < FRAMES) return;
                    stop();
                    done.countDown();
                }
            }.start();
        });
        done.await();
        return times;
    }

    private static void print(String name, List<Double> times, List<Double> still) {
        System.out.printf(Locale.ROOT,
                "%-36s median %5.1f ms, 95 of 100 within %5.1f, longest %5.1f (median %.1f times of nothing moving); %d frames%n",
                name, at(times, 50), at(times, PERCENT_95), Collections.max(times), at(times, 50) / at(still, 50), times.size());
    }
}
