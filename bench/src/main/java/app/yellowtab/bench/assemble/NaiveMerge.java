package app.yellowtab.bench.assemble;

import app.yellowtab.bench.Measure;
import java.io.BufferedReader;
import java.io.Closeable;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStreamWriter;
import java.io.PrintWriter;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;

/**
 * Every page into one document in memory, saved, and brought to the disk as a bundle is: what a first program would do. It needs
 * a heap of gigabytes, so it works in a program of its own, which is started once and told to merge by a line on its standard
 * input.
 */
final class NaiveMerge implements Closeable {
    private final Process process;
    private final PrintWriter to;
    private final BufferedReader from;

    NaiveMerge(List<Path> files, Path output) throws IOException {
        Path list = Files.createTempFile("yellowtab-bench", ".txt");
        Files.write(list, files.stream().map(Path::toString).toList());
        process = new ProcessBuilder(Path.of(System.getProperty("java.home"), "bin", "java").toString(), "-Xmx6g", "-cp",
                System.getProperty("java.class.path"), NaiveMerge.class.getName(), list.toString(), output.toString())
                .redirectError(ProcessBuilder.Redirect.DISCARD).start();
        to = new PrintWriter(new OutputStreamWriter(process.getOutputStream(), StandardCharsets.UTF_8), true);
        from = new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
    }

    /** Merges once; {@return seconds and peak heap in bytes, as the other program measured them} */
    double[] merge() throws IOException {
        to.println("merge");
        String line = from.readLine();
        if (line == null) throw new IOException("the naive merge gave up");
        String[] words = line.split(" ");
        return new double[] {Double.parseDouble(words[0]), Double.parseDouble(words[1])};
    }

    @Override
    public void close() {
        to.close();
        process.destroy();
    }

    /** @param arguments a file with the names of the files to merge, and the file to write */
    public static void main(String[] arguments) throws IOException {
        List<Path> files = Files.readAllLines(Path.of(arguments[0])).stream().map(Path::of).toList();
        Files.delete(Path.of(arguments[0]));
        BufferedReader in = new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8));
        while (in.readLine() != null) {
            Measure measure = Measure.of(() -> merge(files, Path.of(arguments[1])));
            System.out.println(measure.seconds() + " " + measure.peakBytes());
        }
    }

    private static void merge(List<Path> files, Path output) throws IOException {
        List<PDDocument> open = new ArrayList<>();
        try (PDDocument merged = new PDDocument()) {
            for (Path file : files) {
                PDDocument source = Loader.loadPDF(file.toFile());
                open.add(source);
                for (PDPage page : source.getPages()) merged.importPage(page);
            }
            merged.save(output.toFile());
            try (FileChannel written = FileChannel.open(output, StandardOpenOption.WRITE)) {
                written.force(false);
            }
        } finally {
            for (PDDocument source : open) source.close();
        }
    }
}
