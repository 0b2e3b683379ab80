package app.yellowtab.bench;

import app.yellowtab.files.Folders;
import app.yellowtab.intake.FoundFolder;
import app.yellowtab.intake.Intake;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.source.Source;
import app.yellowtab.picture.PageRenderer;
import app.yellowtab.picture.PictureFiles;
import app.yellowtab.source.InPlace;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;

/** Pictures of pages, beside the PDF library's plain rendering of the same pages in the same run. */
final class PicturesBench {
    private static final int ROUNDS = 3;
    private static final int THREADS = 2;
    private static final int STAMP_DPI = 24;
    private static final int PAGE_DPI = 96;
    /** So many pages are drawn large; after the first of each file its fonts are known. */
    private static final int LARGE = 200;

    private final Corpus corpus;
    private final Path folder;

    PicturesBench(Corpus corpus, Path folder) {
        this.corpus = corpus;
        this.folder = folder;
    }

    void run() throws IOException {
        List<Path> files = corpus.write();
        Path cache = folder.resolve("pictures");
        try (InPlace place = new InPlace()) {
            List<Source> sources = new Intake(place)
                    .bringIn(FoundFolder.of(files, new ArrayList<>()), Intake.Listener.NONE, () -> false).sources();
            place.know(sources);
            List<Double> plain = new ArrayList<>();
            List<Double> cold = new ArrayList<>();
            List<Double> kept = new ArrayList<>();
            for (int round = 0; round <= ROUNDS; round++) {
                Folders.delete(cache);
                double plainSeconds = plainStamps(files);
                double coldSeconds = stamps(sources, place, cache);
                double keptSeconds = stamps(sources, place, cache);
                // The first round is not told: it is the compiler that is measured.
                if (round == 0) continue;
                plain.add(plainSeconds);
                cold.add(coldSeconds);
                kept.add(keptSeconds);
            }
            int all = files.size() * corpus.pages();
            System.out.printf(Locale.ROOT, "%n%,d pages in %d files, at %d dpi on %d threads:%n", all, files.size(), STAMP_DPI,
                    THREADS);
            print("drawn by the PDF library alone", all, plain, plain);
            print("drawn for the first time", all, cold, plain);
            print("from the disk", all, kept, plain);
            large(sources, place, files);
        } finally {
            Folders.delete(cache);
        }
    }

    private static void print(String what, int pages, List<Double> seconds, List<Double> plain) {
        System.out.printf(Locale.ROOT, "%-32s %7.1f pages a second   %.2f times the library's time%n", what,
                pages / median(seconds), median(seconds) / median(plain));
    }

    private static double median(List<Double> values) {
        return values.stream().sorted(Comparator.naturalOrder()).toList().get(values.size() / 2);
    }

    private double plainStamps(List<Path> files) throws IOException {
        return eachOf(files.size(), file -> {
            try (PDDocument document = Loader.loadPDF(files.get(file).toFile())) {
                PDFRenderer renderer = new PDFRenderer(document);
                for (int page = 0; page < corpus.pages(); page++) renderer.renderImageWithDPI(page, STAMP_DPI, ImageType.RGB);
            }
        });
    }

    private double stamps(List<Source> sources, InPlace place, Path cache) throws IOException {
        try (PageRenderer renderer = new PageRenderer(place, new PictureFiles(cache, PictureFiles.MOST_BYTES))) {
            return eachOf(sources.size(), file -> {
                for (int page = 1; page <= corpus.pages(); page++)
                    renderer.draw(order(renderer, sources.get(file), page, STAMP_DPI));
            });
        }
    }

    private static PageRenderer.Order order(PageRenderer renderer, Source source, int page, int dpi) {
        return renderer.page(source.id(), page, PageLook.PLAIN, Bundle.EMPTY.fromSources().comments(), (int) (8.27 * dpi));
    }

    /** Does something with a file. */
    @FunctionalInterface
    private interface FileWork {
        void on(int file) throws IOException;
    }

    /** {@return the seconds that it takes with all files, on so many threads} */
    private static double eachOf(int files, FileWork work) throws IOException {
        return Measure.of(() -> {
            try (ExecutorService threads = Executors.newFixedThreadPool(THREADS)) {
                List<Future<?>> under = new ArrayList<>();
                for (int file = 0; file < files; file++) {
                    int n = file;
                    under.add(threads.submit(() -> {
                        work.on(n);
                        return null;
                    }));
                }
                for (Future<?> one : under) one.get();
            } catch (InterruptedException | ExecutionException e) {
                throw new IOException(e);
            }
        }).seconds();
    }

    /** Pages as one reads them, one after the other, each as long as one waits for it. */
    private void large(List<Source> sources, InPlace place, List<Path> files) throws IOException {
        List<Double> plain = new ArrayList<>();
        List<Double> ours = new ArrayList<>();
        List<Double> first = new ArrayList<>();
        try (PageRenderer renderer = new PageRenderer(place, PictureFiles.NONE)) {
            for (int file = 0; plain.size() < LARGE && file < files.size(); file++) {
                try (PDDocument document = Loader.loadPDF(files.get(file).toFile())) {
                    PDFRenderer alone = new PDFRenderer(document);
                    for (int page = 0; page < corpus.pages(); page++) {
                        int n = page;
                        plain.add(1000 * Measure.of(() -> alone.renderImageWithDPI(n, PAGE_DPI, ImageType.RGB)).seconds());
                    }
                }
                for (int page = 1; page <= corpus.pages(); page++) {
                    PageRenderer.Order order = order(renderer, sources.get(file), page, PAGE_DPI);
                    (page == 1 ? first : ours).add(1000 * Measure.of(() -> renderer.draw(order)).seconds());
                }
            }
        }
        System.out.printf(Locale.ROOT,
                "A page at %d dpi: %.0f ms (the longest of %d: %.0f), the first of a file %.0f; by the PDF library alone %.0f "
                        + "(ratio %.2f).%n",
                PAGE_DPI, median(ours),
                ours.size(), ours.stream().mapToDouble(Double::doubleValue).max().orElse(0), median(first), median(plain),
                median(ours) / median(plain));
    }
}
