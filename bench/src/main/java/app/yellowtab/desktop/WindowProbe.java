package app.yellowtab.desktop;

import app.yellowtab.desktop.work.FileDialogs;
import app.yellowtab.desktop.work.Jobs;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.Edits;
import app.yellowtab.edit.SortOrder;
import app.yellowtab.edit.Sorting;
import app.yellowtab.edit.page.PageEdits;
import app.yellowtab.files.Folders;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.EntryId;
import app.yellowtab.model.Section;
import app.yellowtab.model.page.PageKey;
import app.yellowtab.picture.PictureFiles;
import app.yellowtab.plan.Planner;
import app.yellowtab.store.BundleFolder;
import app.yellowtab.store.Recents;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executors;
import java.util.stream.Collectors;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Parent;
import javafx.stage.Stage;
import org.slf4j.LoggerFactory;

/** The real window with a large bundle: how long edits hold the JavaFX thread, beside planning the whole bundle anew. */
public final class WindowProbe extends Application {
    private static final int ROUNDS = 60;
    /** The first rounds warm up. */
    private static final int COUNTED = 40;
    private static final long REST_MILLIS = 50;
    private static final double MILLI = 1e6;

    private static Bundle bundle = Bundle.EMPTY;

    private final Map<String, List<Double>> actions = new LinkedHashMap<>();
    private final Map<String, List<Double>> withLayout = new LinkedHashMap<>();
    private final Map<String, List<Double>> until = new LinkedHashMap<>();
    private Stage window;
    private Desk desk;
    private Path folder;

    /** Made by JavaFX. */
    public WindowProbe() {
        // Nothing is needed.
    }

    /**
     * Measures, prints figures and ratios, and ends the program.
     *
     * @param large the bundle to open; its files need not be there
     */
    public static void run(Bundle large) {
        bundle = large;
        launch(WindowProbe.class);
    }

    @Override
    public void start(Stage stage) throws IOException {
        window = stage;
        YellowTab.dress();
        folder = Files.createTempDirectory("window-probe");
        Path user = folder.resolve("user");
        BundleFolder.create(folder.resolve("bundle"), bundle).close();
        Jobs jobs = new Jobs(Executors.newCachedThreadPool(Thread.ofPlatform().daemon().factory()), Platform::runLater);
        desk = new Desk(stage, new Recents(user), user, new PictureFiles(folder.resolve("pictures"), 1 << 20), jobs, new NoDialogs(), path -> { }, languages -> {
            throw new IOException("nothing is recognised here");
        });
        stage.show();
        Thread.ofPlatform().name("probe").start(this::measure);
    }

    private void measure() {
        try {
            System.out.printf(Locale.ROOT, "%n%,d documents of %,d pages, in a window of %.0f x %.0f%n", bundle.contents().allDocuments().size(), bundle.contents().allDocuments().stream().mapToInt(document -> document.pageCount()).sum(),
                    window.getWidth(), window.getHeight());
            System.out.printf(Locale.ROOT, "opened in a fresh Java: %.0f ms%n", open());
            Thread.sleep(3000);
            edits(desk.workspace().orElseThrow());
            List<Double> again = new ArrayList<>();
            for (int i = 0; i < 3; i++) {
                onFxThread(desk::leave);
                while (desk.workspace().isPresent()) Thread.sleep(5);
                Thread.sleep(1500);
                again.add(open());
                Thread.sleep(1500);
            }
            System.out.printf(Locale.ROOT, "opened again in the same program: %.0f ms, median of 3%n", median(again));
            System.gc();
            Thread.sleep(500);
            System.gc();
            Runtime java = Runtime.getRuntime();
            System.out.printf(Locale.ROOT, "heap in use after a collection: %.0f MB%n", (java.totalMemory() - java.freeMemory()) / 1e6);
            Folders.delete(folder);
            System.exit(0);
        } catch (InterruptedException | IOException | RuntimeException | Error failure) {
            LoggerFactory.getLogger(WindowProbe.class).error("not measured", failure);
            System.exit(1);
        }
    }

    /** {@return how long it takes until the bundle's window is laid out, in milliseconds} */
    private double open() throws InterruptedException {
        long begun = System.nanoTime();
        onFxThread(() -> desk.open(folder.resolve("bundle")));
        while (desk.workspace().isEmpty()) Thread.sleep(2);
        onFxThread(this::layOut);
        return (System.nanoTime() - begun) / MILLI;
    }

    private void layOut() {
        Parent root = window.getScene().getRoot();
        root.applyCss();
        root.layout();
    }

    private void edits(Workspace workspace) throws InterruptedException {
        onFxThread(() -> workspace.stageProperty().set(app.yellowtab.desktop.work.Stage.ARRANGE));
        Thread.sleep(2000);
        Set<EntryId> all = workspace.bundle().contents().sections().stream().map(Section::id).collect(Collectors.toSet());
        EntryId middle = workspace.bundle().contents().allDocuments().get(bundle.contents().allDocuments().size() / 2).id();
        for (int n = 0; n < ROUNDS; n++) {
            int round = n;
            time("planned anew", () -> Planner.plan(workspace.bundle()));
            time("rename", () -> workspace.edit(now -> Edits.changeDocument(now, middle, document -> document.withTitle("Letter " + round))));
            soon("sort everything", workspace, () -> workspace.editSoon(now -> Sorting.sorted(now, all, round % 2 == 0 ? SortOrder.TITLE : SortOrder.DATE)));
            Set<PageKey> pages = workspace.plan().leaves().stream().flatMap(leaf -> leaf.key().stream()).collect(Collectors.toSet());
            soon("turn every page", workspace, () -> workspace.editSoon(now -> PageEdits.turned(now, pages, 1)));
            time("undo turning", workspace::undo);
            time("undo", workspace::undo);
            time("redo", workspace::redo);
            time("go to a page", () -> workspace.goTo(500 + round * 70));
        }
        double baseline = median(actions.get("planned anew"));
        actions.forEach((name, times) -> System.out.printf(Locale.ROOT, "%-16s %5.1f ms on the JavaFX thread (%.1f times planning anew), longest %5.1f; with a whole style pass and layout %5.1f; medians of %d%n",
                name, median(times), median(times) / baseline, Collections.max(counted(times)), median(withLayout.get(name)), COUNTED));
        until.forEach((name, times) -> System.out.printf(Locale.ROOT, "%-16s all stands, laid out, after %.1f ms%n", name, median(times)));
    }

    private void time(String name, Runnable action) throws InterruptedException {
        onFxThread(() -> {
            long begun = System.nanoTime();
            action.run();
            actions.computeIfAbsent(name, key -> new ArrayList<>()).add((System.nanoTime() - begun) / MILLI);
            layOut();
            withLayout.computeIfAbsent(name, key -> new ArrayList<>()).add((System.nanoTime() - begun) / MILLI);
        });
        Thread.sleep(REST_MILLIS);
    }

    /** What comes back from the background is timed as the JavaFX thread sees it, and until all numbers stand. */
    private void soon(String name, Workspace workspace, Runnable edit) throws InterruptedException {
        Bundle before = workspace.bundle();
        long begun = System.nanoTime();
        onFxThread(edit);
        long[] longest = {0};
        while (workspace.bundle() == before) {
            long asked = System.nanoTime();
            onFxThread(() -> { });
            longest[0] = Math.max(longest[0], System.nanoTime() - asked);
        }
        onFxThread(() -> {
            long from = System.nanoTime();
            layOut();
            actions.computeIfAbsent(name, key -> new ArrayList<>()).add(longest[0] / MILLI);
            withLayout.computeIfAbsent(name, key -> new ArrayList<>()).add((longest[0] + System.nanoTime() - from) / MILLI);
            until.computeIfAbsent(name, key -> new ArrayList<>()).add((System.nanoTime() - begun) / MILLI);
        });
        Thread.sleep(REST_MILLIS);
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

    private static List<Double> counted(List<Double> times) {
        return times.subList(Math.max(0, times.size() - COUNTED), times.size());
    }

    private static double median(List<Double> times) {
        List<Double> sorted = new ArrayList<>(counted(times));
        Collections.sort(sorted);
        return sorted.get(sorted.size() / 2);
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
