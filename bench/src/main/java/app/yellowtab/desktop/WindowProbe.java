package app.yellowtab.desktop;

import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.Edits;
import app.yellowtab.edit.SortOrder;
import app.yellowtab.edit.Sorting;
import app.yellowtab.edit.page.PageEdits;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Section;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.plan.Planner;
import app.yellowtab.store.BundleFolder;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** The real window with a large bundle: how long edits hold the JavaFX thread, beside planning the whole bundle anew. */
public final class WindowProbe extends Probe {
    private static final int ROUNDS = 60;
    /** The first rounds warm up. */
    private static final int COUNTED = 40;
    private static final long REST_MILLIS = 50;

    private static Bundle bundle = Bundle.EMPTY;

    private final Map<String, List<Double>> actions = new LinkedHashMap<>();
    private final Map<String, List<Double>> withLayout = new LinkedHashMap<>();
    private final Map<String, List<Double>> until = new LinkedHashMap<>();

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
    void fill(Path folder) throws IOException {
        BundleFolder.create(folder, bundle).close();
    }

    @Override
    void measure() throws InterruptedException {
        System.out.printf(Locale.ROOT, "%n%,d documents of %,d pages, in a window of %.0f x %.0f%n",
                bundle.contents().allDocuments().size(),
                bundle.contents().allDocuments().stream().mapToInt(document -> document.pageCount()).sum(),
                window().getWidth(), window().getHeight());
        System.out.printf(Locale.ROOT, "opened in a fresh Java: %.0f ms%n", open());
        Thread.sleep(3000);
        edits(desk().workspace().orElseThrow());
        List<Double> again = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            onFxThread(desk()::leave);
            while (desk().workspace().isPresent()) Thread.sleep(5);
            Thread.sleep(1500);
            again.add(open());
            Thread.sleep(1500);
        }
        System.out.printf(Locale.ROOT, "opened again in the same program: %.0f ms, median of 3%n", median(again));
        System.gc();
        Thread.sleep(500);
        System.gc();
        Runtime java = Runtime.getRuntime();
        System.out.printf(Locale.ROOT, "heap in use after a collection: %.0f MB%n",
                (java.totalMemory() - java.freeMemory()) / 1e6);
    }

    private void edits(Workspace workspace) throws InterruptedException {
        onFxThread(() -> workspace.stageProperty().set(app.yellowtab.desktop.work.Stage.ARRANGE));
        Thread.sleep(2000);
        Set<EntryId> all = workspace.bundle().contents().sections().stream().map(Section::id).collect(Collectors.toSet());
        EntryId middle = workspace.bundle().contents().allDocuments().get(bundle.contents().allDocuments().size() / 2).id();
        for (int n = 0; n < ROUNDS; n++) {
            int round = n;
            time("planned anew", () -> Planner.plan(workspace.bundle()));
            time("rename", () -> workspace
                    .edit(now -> Edits.changeDocument(now, middle, document -> document.withTitle("Letter " + round))));
            soon("sort everything", workspace,
                    () -> workspace.editSoon("edit.sort",
                            now -> Sorting.sorted(now, all, round % 2 == 0 ? SortOrder.TITLE : SortOrder.DATE)));
            Set<PageKey> pages =
                    workspace.plan().leaves().stream().flatMap(leaf -> leaf.key().stream()).collect(Collectors.toSet());
            soon("turn every page", workspace, () -> workspace.editSoon("edit.pages",
                    now -> PageEdits.turned(now, pages, 1)));
            time("undo turning", workspace::undo);
            time("undo", workspace::undo);
            time("redo", workspace::redo);
            time("go to a page", () -> workspace.goTo(500 + round * 70));
        }
        double baseline = median(actions.get("planned anew"));
        actions.forEach((name, times) -> System.out.printf(Locale.ROOT,
                "%-16s %5.1f ms on the JavaFX thread (%.1f times planning anew), longest %5.1f; with a whole style pass and "
                        + "layout %5.1f; medians of %d%n",
                name, median(times), median(times) / baseline, Collections.max(counted(times)), median(withLayout.get(name)),
                COUNTED));
        until.forEach((name, times) -> System.out.printf(Locale.ROOT, "%-16s all stands, laid out, after %.1f ms%n", name,
                median(times)));
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
            onFxThread(() -> {});
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

    private static List<Double> counted(List<Double> times) {
        return times.subList(Math.max(0, times.size() - COUNTED), times.size());
    }

    private static double median(List<Double> times) {
        return at(counted(times), 50);
    }
}
