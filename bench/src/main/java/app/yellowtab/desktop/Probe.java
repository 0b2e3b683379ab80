package app.yellowtab.desktop;

import app.yellowtab.desktop.look.FileDialogs;
import app.yellowtab.desktop.work.Jobs;
import app.yellowtab.desktop.work.Session;
import app.yellowtab.files.Folders;
import app.yellowtab.keep.Recents;
import app.yellowtab.picture.PictureFiles;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executors;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Parent;
import javafx.stage.Stage;
import org.slf4j.LoggerFactory;

/** The real window with a bundle in it, in which something is measured. */
abstract class Probe extends Application {
    static final long PICTURE_BYTES = 1 << 28;
    static final double MILLI = 1e6;
    private static final long LOOK_MILLIS = 2000;

    private Stage window;
    private Desk desk;
    private Path folder;

    /** Makes the bundle's folder. */
    abstract void fill(Path bundle) throws IOException;

    /** Measures and prints; not on the JavaFX thread. */
    abstract void measure() throws InterruptedException, IOException;

    @Override
    public void start(Stage stage) throws IOException {
        window = stage;
        YellowTab.dress();
        folder = Files.createTempDirectory("probe");
        fill(bundle());
        Jobs jobs = new Jobs(Executors.newCachedThreadPool(Thread.ofPlatform().daemon().factory()), Platform::runLater);
        Path user = folder.resolve("user");
        desk = new Desk(stage, new Recents(user), user, new PictureFiles(folder.resolve("pictures"), PICTURE_BYTES), jobs,
                new Session.Around(new NoDialogs(), path -> {}, languages -> {
                    throw new IOException("nothing is recognised here");
                }));
        stage.show();
        Thread.ofPlatform().name("probe").start(this::run);
    }

    private void run() {
        try {
            measure();
            Folders.delete(folder);
            System.exit(0);
        } catch (InterruptedException | IOException | RuntimeException | Error failure) {
            LoggerFactory.getLogger(getClass()).error("not measured", failure);
            System.exit(1);
        }
    }

    Stage window() {
        return window;
    }

    Desk desk() {
        return desk;
    }

    private Path bundle() {
        return folder.resolve("bundle");
    }

    /** {@return how long it takes until the bundle's window is laid out, in milliseconds} */
    double open() throws InterruptedException {
        long begun = System.nanoTime();
        onFxThread(() -> desk.open(bundle()));
        while (desk.workspace().isEmpty()) Thread.sleep(2);
        onFxThread(this::layOut);
        return (System.nanoTime() - begun) / MILLI;
    }

    /** Waits until nothing is done in the background. */
    static void settle() throws InterruptedException {
        long before = 0;
        while (true) {
            Thread.sleep(LOOK_MILLIS);
            long now = ProcessHandle.current().info().totalCpuDuration().orElseThrow().toMillis();
            if (now - before < LOOK_MILLIS / 10) return;
            before = now;
        }
    }

    void layOut() {
        Parent root = window.getScene().getRoot();
        root.applyCss();
        root.layout();
    }

    static void onFxThread(Runnable action) throws InterruptedException {
        CountDownLatch done = new CountDownLatch(1);
        Platform.runLater(() -> {
            try {
                action.run();
            } finally {
                done.countDown();
            }
        });
        done.await();
    }

    static double at(List<Double> times, int percent) {
        List<Double> sorted = new ArrayList<>(times);
        Collections.sort(sorted);
        return sorted.get(Math.min(sorted.size() - 1, sorted.size() * percent / 100));
    }

    /** Nobody is there to be asked. */
    static final class NoDialogs implements FileDialogs {
        @Override
        public List<Path> files(String title) {
            return List.of();
        }

        @Override
        public Optional<Path> folder(String title) {
            return Optional.empty();
        }

        @Override
        public Optional<Path> saveAs(String title, Path suggested) {
            return Optional.empty();
        }
    }
}
