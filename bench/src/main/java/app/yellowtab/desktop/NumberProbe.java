package app.yellowtab.desktop;

import app.yellowtab.desktop.pages.PagePane;
import app.yellowtab.desktop.work.Stage;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.number.LineEdits;
import app.yellowtab.edit.number.NumberEdits;
import app.yellowtab.mark.MarkLook;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.number.MarkSetting;
import app.yellowtab.model.number.RunningLine;
import app.yellowtab.model.number.Series;
import app.yellowtab.model.number.SeriesId;
import app.yellowtab.plan.Marking;
import app.yellowtab.plan.Planner;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.function.IntConsumer;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.text.Text;

/** A number, Bates numbers and two lines on all pages of a large bundle: how soon a change shows on the page in view. */
public final class NumberProbe extends Probe {
    private static final int ROUNDS = 60;
    /** The first rounds warm up. */
    private static final int COUNTED = 40;
    private static final long REST_MILLIS = 120;
    private static final SeriesId LINE = new SeriesId("line");
    private static List<Path> files = List.of();

    /** Made by JavaFX. */
    public NumberProbe() {
        // Nothing is needed.
    }

    /**
     * Measures, prints figures and ratios, and ends the program.
     *
     * @param documents the files that the bundle is made of
     */
    public static void run(List<Path> documents) {
        files = List.copyOf(documents);
        launch(NumberProbe.class);
    }

    @Override
    void fill(Path folder) throws IOException {
        ScrollProbe.takeIn(folder, files);
    }

    @Override
    void measure() throws InterruptedException {
        open();
        settle();
        Workspace workspace = desk().workspace().orElseThrow();
        onFxThread(() -> {
            workspace.stageProperty().set(Stage.NUMBER);
            workspace.edit(bundle -> NumberEdits.with(
                    NumberEdits.with(
                            NumberEdits.with(bundle,
                                    new Series(new SeriesId("bates"), "TH-000001",
                                            new MarkSetting(Spot.OPPOSITE, MarkLook.SERIES))),
                            line("{document}")),
                    new RunningLine(new SeriesId("other"),
                            new MarkSetting(new Spot(Spot.Row.HEAD, Spot.Column.LEFT, 10, 10), MarkLook.LINE),
                            LineEdits.read("{file}, {page} of {pages}"))));
            workspace.goTo(workspace.plan().pageCount() / 2);
        });
        settle();
        System.out.printf(Locale.ROOT, "%n%,d pages with a number, Bates numbers and two lines%n", workspace.plan().pageCount());
        List<Double> planned = new ArrayList<>();
        for (int round = 0; round < ROUNDS; round++) {
            long begun = System.nanoTime();
            Planner.plan(workspace.bundle());
            planned.add((System.nanoTime() - begun) / MILLI);
        }
        double plan = at(counted(planned), 50);
        System.out.printf(Locale.ROOT, "planned anew: %.1f ms%n", plan);
        print("words of a line", plan,
                round -> workspace.edit(bundle -> NumberEdits.with(bundle, line("Round " + round + ", {document}"))));
        print("size of the number", plan, round -> workspace.edit(bundle -> NumberEdits.set(bundle, Marking.BUNDLE,
                setting -> setting.withLook(setting.look().withSize(12 + round % 7)))));
        print("place of the number", plan, round -> workspace.edit(bundle -> NumberEdits.set(bundle, Marking.BUNDLE,
                setting -> setting.withSpot(new Spot(Spot.Row.FOOT, Spot.Column.RIGHT, 10 + round % 9, 10)))));
        print("where it begins", plan, round -> workspace
                .edit(bundle -> NumberEdits.withNumber(bundle, bundle.numbering().bundle().withStart(2 + round))));
    }

    private static RunningLine line(String words) {
        return new RunningLine(LINE, new MarkSetting(new Spot(Spot.Row.HEAD, Spot.Column.RIGHT, 10, 10), MarkLook.LINE),
                LineEdits.read(words));
    }

    private static List<Double> counted(List<Double> times) {
        return times.subList(times.size() - COUNTED, times.size());
    }

    /** Times a change on the JavaFX thread, and the style pass and layout of the frame that shows it. */
    private void print(String name, double plan, IntConsumer change) throws InterruptedException {
        List<Double> edits = new ArrayList<>();
        List<Double> times = new ArrayList<>();
        int late = 0;
        for (int round = 0; round < ROUNDS; round++) {
            Change one = new Change(round, change);
            Platform.runLater(one);
            if (!one.done.await(1, TimeUnit.MINUTES)) throw new IllegalStateException("no frame came");
            edits.add(one.edit);
            times.add(one.edit + one.frame);
            if (!one.isShown) late++;
            Thread.sleep(REST_MILLIS);
        }
        System.out.printf(Locale.ROOT,
                "%-20s %5.1f ms on the JavaFX thread (%.1f times planning anew), with style pass and layout of its frame "
                        + "%5.1f, 95 of 100 within %5.1f; not yet on the page %d times of %d%n",
                name, at(counted(edits), 50), at(counted(edits), 50) / plan, at(counted(times), 50), at(counted(times), 95), late,
                ROUNDS);
    }

    /** A change, and the frame after it. */
    private final class Change implements Runnable {
        private final CountDownLatch done = new CountDownLatch(1);
        private final int round;
        private final IntConsumer change;
        private double edit;
        private double frame;
        private boolean isShown;

        private Change(int round, IntConsumer change) {
            this.round = round;
            this.change = change;
        }

        @Override
        public void run() {
            List<String> before = seen();
            long begun = System.nanoTime();
            change.accept(round);
            edit = (System.nanoTime() - begun) / MILLI;
            Scene scene = window().getScene();
            long[] frameBegun = {0};
            Runnable after = new Runnable() {
                @Override
                public void run() {
                    scene.removePostLayoutPulseListener(this);
                    frame = (System.nanoTime() - frameBegun[0]) / MILLI;
                    isShown = !seen().equals(before);
                    done.countDown();
                }
            };
            scene.addPreLayoutPulseListener(new Runnable() {
                @Override
                public void run() {
                    scene.removePreLayoutPulseListener(this);
                    frameBegun[0] = System.nanoTime();
                    scene.addPostLayoutPulseListener(after);
                }
            });
            Platform.requestNextPulse();
        }
    }

    /** {@return the marks on the page in view, with their sizes and places} */
    private List<String> seen() {
        PagePane page = (PagePane) window().getScene().lookup("#number-page");
        return page.getChildrenUnmodifiable().stream().filter(Text.class::isInstance).map(Text.class::cast)
                .map(text -> text.getText() + text.getFont().getSize() + " " + text.getX() + " " + text.getLayoutX()).toList();
    }
}
