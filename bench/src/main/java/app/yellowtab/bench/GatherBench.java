package app.yellowtab.bench;

import app.yellowtab.intake.FoundFolder;
import app.yellowtab.intake.Intake;
import app.yellowtab.source.Fingerprint;
import app.yellowtab.source.InPlace;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;

/** How fast files are brought in, against reading their bytes and hashing them. */
final class GatherBench {
    private static final int LETTERS = 100;
    private static final int WARMING = 100;

    private final Corpus corpus;
    private final Path folder;

    GatherBench(Corpus corpus, Path folder) {
        this.corpus = corpus;
        this.folder = folder;
    }

    void run() throws IOException {
        List<Path> files = corpus.write();
        List<Path> letters = letters();
        gather(files.subList(0, Math.min(WARMING, files.size())));
        Measure hashed = Measure.of(() -> {
            for (Path file : files) Fingerprint.of(file);
        });
        Measure gathered = Measure.of(() -> gather(files));
        System.out.printf(Locale.ROOT,
                "%n%d PDFs of %d pages (a third of the pages scanned): brought in, with all that is known of them, in %.2f s, "
                        + "%.0f files a second;%n"
                        + "reading their bytes and hashing them on one thread takes %.2f s (ratio %.2f). Heap in use after a "
                        + "collection, at most: %.0f MB.%n",
                files.size(), corpus.pages(), gathered.seconds(), files.size() / gathered.seconds(), hashed.seconds(),
                gathered.seconds() / hashed.seconds(), gathered.liveBytes() / 1e6);
        gather(letters);
        Measure read = Measure.of(() -> {
            for (Path letter : letters) Fingerprint.of(letter);
        });
        Measure converted = Measure.of(() -> gather(letters));
        System.out.printf(Locale.ROOT,
                "%d one-page letters (.docx), converted here: %.2f s, %.0f a second; reading and hashing them takes %.3f s "
                        + "(ratio %.0f).%n",
                LETTERS, converted.seconds(), LETTERS / converted.seconds(), read.seconds(),
                converted.seconds() / read.seconds());
    }

    private static void gather(List<Path> files) throws IOException {
        try (InPlace place = new InPlace()) {
            Intake.Taken taken =
                    new Intake(place).bringIn(FoundFolder.of(files, new ArrayList<>()), Intake.Listener.NONE, () -> false);
            if (taken.contents().allDocuments().size() != files.size())
                throw new IllegalStateException("not all files were read: " + taken.findings());
        }
    }

    private List<Path> letters() throws IOException {
        Path place = Files.createDirectories(folder.resolve("letters"));
        List<Path> all = new ArrayList<>();
        for (int n = 1; n <= LETTERS; n++) {
            StringBuilder body = new StringBuilder();
            for (int p = 1; p <= 18; p++) body.append("<w:p><w:r><w:t>Letter ").append(n).append(", paragraph ").append(p)
                    .append(": the apples in the middle rows were the worst.</w:t></w:r></w:p>");
            Path letter = place.resolve(String.format(Locale.ROOT, "letter %03d.docx", n));
            try (ZipOutputStream zip = new ZipOutputStream(Files.newOutputStream(letter))) {
                zip.putNextEntry(new ZipEntry("word/document.xml"));
                zip.write(("<w:document xmlns:w=\"http://schemas.openxmlformats.org/wordprocessingml/2006/main\"><w:body>" + body
                        + "</w:body></w:document>").getBytes(StandardCharsets.UTF_8));
            }
            all.add(letter);
        }
        return all;
    }
}
