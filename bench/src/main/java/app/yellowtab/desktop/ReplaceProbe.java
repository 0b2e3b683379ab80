package app.yellowtab.desktop;

import app.yellowtab.desktop.pages.PagePictures;
import app.yellowtab.desktop.replace.ReplaceView;
import app.yellowtab.desktop.replace.Replacement;
import app.yellowtab.desktop.work.Intakes;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.number.NumberEdits;
import app.yellowtab.edit.page.PageEdits;
import app.yellowtab.keep.RememberedPasswords;
import app.yellowtab.mark.MarkLook;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.number.MarkSetting;
import app.yellowtab.model.number.Series;
import app.yellowtab.model.number.SeriesId;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.picture.PageRenderer;
import app.yellowtab.picture.PictureFiles;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicBoolean;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.stage.Stage;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.PDPageContentStream.AppendMode;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts.FontName;

/**
 * A newer version of a long file takes the place of the one that a bundle has, with issued numbers and turned pages: how long the
 * JavaFX thread is held by it, beside how long it is held while nothing is done.
 */
public final class ReplaceProbe extends Probe {
    private static final SeriesId BATES = new SeriesId("bates");
    private static final int CHANGED = 20;
    private static final int GONE = 25;
    private static final int MOVED = 100;
    private static final int TURNED = 7;
    private static final int WORST = 3;
    private static List<Path> files = List.of();

    /** Made by JavaFX. */
    public ReplaceProbe() {
        // Nothing is needed.
    }

    /**
     * Measures, prints figures, and ends the program.
     *
     * @param documents one long file
     */
    public static void run(List<Path> documents) {
        files = List.copyOf(documents);
        launch(ReplaceProbe.class);
    }

    @Override
    void fill(Path folder) throws IOException {
        ScrollProbe.takeIn(folder, files);
    }

    /** {@return a version in which pages have changed, gone and moved} */
    private static Path newer(Path file) throws IOException {
        Path newer = Files.createTempDirectory("newer").resolve("newer.pdf");
        try (PDDocument document = Loader.loadPDF(file.toFile())) {
            int pages = document.getNumberOfPages();
            for (int at = pages - 1; at >= 0; at--) {
                PDPage page = document.getPage(at);
                if (at % GONE == 0) {
                    document.removePage(at);
                } else if (at % MOVED == 1) {
                    document.removePage(at);
                    document.addPage(page);
                } else if (at % CHANGED == 2) {
                    try (PDPageContentStream content =
                            new PDPageContentStream(document, page, AppendMode.APPEND, true, true)) {
                        content.beginText();
                        content.setFont(new PDType1Font(FontName.HELVETICA), 12);
                        content.newLineAtOffset(100, 20);
                        content.showText("changed");
                        content.endText();
                    }
                }
            }
            document.save(newer.toFile());
        }
        return newer;
    }

    @Override
    void measure() throws InterruptedException, IOException {
        Path newer = newer(files.getFirst());
        open();
        Workspace workspace = desk().workspace().orElseThrow();
        Document document = workspace.bundle().contents().allDocuments().getFirst();
        onFxThread(() -> workspace.edit(bundle -> {
            Set<PageKey> turned = new HashSet<>();
            for (int page = 1; page <= document.pageCount(); page += TURNED)
                turned.add(document.runs().getFirst().key(page));
            return NumberEdits.with(PageEdits.turned(bundle, turned, 1),
                    new Series(BATES, "TH-000001", new MarkSetting(Spot.OPPOSITE, MarkLook.SERIES)));
        }));
        onFxThread(() -> workspace.promiseSoon("edit.issue",
                bundle -> NumberEdits.issued(bundle, workspace.plan().numbersOf(bundle, BATES)), worked -> {}));
        settle();
        Path work = Files.createTempDirectory("replace");
        PageRenderer renderer = new PageRenderer(workspace.folder(), new PictureFiles(work.resolve("pictures"), PICTURE_BYTES));
        Replacement replacement =
                new Replacement(workspace, new Intakes(workspace, new RememberedPasswords(work)), renderer);
        onFxThread(() -> {
            Stage beside = new Stage();
            beside.setScene(new Scene(new ReplaceView(workspace, replacement,
                    new PagePictures(renderer, Platform::runLater, Executors.newSingleThreadExecutor()), new NoDialogs()), 900,
                    600));
            beside.show();
        });
        settle();
        System.out.printf(Locale.ROOT, "%n%,d pages, of which many were turned and all have issued numbers%n",
                document.pageCount());
        held("nothing is done", () -> {
            Thread.sleep(5000);
        });
        held("brought in and compared", () -> {
            onFxThread(() -> replacement.begin(document.id(), newer));
            while (!(replacement.stateProperty().get() instanceof Replacement.ReplaceState.Ready)) Thread.sleep(20);
        });
        settle();
        Bundle before = workspace.bundle();
        held("put in its place", () -> {
            onFxThread(() -> ((Button) Stage.getWindows().stream().map(window -> window.getScene().lookup("#replace-accept"))
                    .filter(Button.class::isInstance).findFirst().orElseThrow()).fire());
            while (workspace.bundle() == before) Thread.sleep(5);
        });
        held("undone", () -> {
            onFxThread(workspace::undo);
        });
    }

    /** Something that takes a while. */
    @FunctionalInterface
    private interface Work {
        void run() throws InterruptedException;
    }

    private static void held(String what, Work work) throws InterruptedException {
        Held held = new Held(what);
        work.run();
        held.end();
    }

    /** Asks the JavaFX thread all the time for an answer, and says how long it took it at most. */
    private static final class Held {
        private final String what;
        private final List<Double> waits = Collections.synchronizedList(new ArrayList<>());
        private final AtomicBoolean over = new AtomicBoolean();
        private final long begun = System.nanoTime();
        private final List<long[]> seen = Collections.synchronizedList(new ArrayList<>());
        private final Thread asking = Thread.ofPlatform().start(this::ask);
        private final Thread watching = Thread.ofPlatform().start(this::watch);

        Held(String what) {
            this.what = what;
        }

        private void ask() {
            try {
                while (!over.get()) {
                    long asked = System.nanoTime();
                    onFxThread(() -> {});
                    waits.add((System.nanoTime() - asked) / MILLI);
                    Thread.sleep(1);
                }
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        }

        void end() throws InterruptedException {
            double took = (System.nanoTime() - begun) / MILLI;
            Thread.sleep(500);
            over.set(true);
            asking.join();
            watching.join();
            List<Double> longest = waits.stream().sorted(Collections.reverseOrder()).limit(WORST).toList();
            System.out.printf(Locale.ROOT,
                    "%-24s %,7.0f ms; the JavaFX thread was held for at most %s ms, by what we do there for at most %.0f ms%n",
                    what,
                    took, longest.stream().map(wait -> String.format(Locale.ROOT, "%.1f", wait)).toList(), ours());
        }

        /** Looks again and again at what the JavaFX thread does. */
        private void watch() {
            try {
                Thread[] held = new Thread[1];
                onFxThread(() -> held[0] = Thread.currentThread());
                while (!over.get()) {
                    seen.add(new long[] {System.nanoTime(), isOurs(held[0].getStackTrace()) ? 1 : 0});
                    Thread.sleep(1);
                }
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        }

        /** {@return whether it is our own code, and not the toolkit that lays out and paints what we have changed} */
        private static boolean isOurs(StackTraceElement[] stack) {
            boolean ours = false;
            for (StackTraceElement frame : stack) {
                if (frame.getClassName().startsWith("javafx.scene.Scene$ScenePulseListener")) return false;
                ours |= frame.getClassName().startsWith("app.yellowtab.")
                        && !frame.getClassName().startsWith(ReplaceProbe.class.getName());
            }
            return ours;
        }

        /** {@return the longest stretch in which it was always our own code, in milliseconds} */
        private double ours() {
            double most = 0;
            long since = 0;
            for (long[] look : seen) {
                if (look[1] == 0) since = 0;
                else if (since == 0) since = look[0];
                else most = Math.max(most, (look[0] - since) / MILLI);
            }
            return most;
        }
    }
}
