package app.yellowtab.recognise;

import app.yellowtab.ink.GreyPicture;
import app.yellowtab.recognise.worker.Main;
import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.Closeable;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.EOFException;
import java.io.File;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A child process that reads pictures, at a low priority. For one thread. */
final class ReaderProcess implements Closeable {
    private static final Duration STARTING = Duration.ofSeconds(60);
    private static final int LONGEST_ANSWER = 64 << 20;
    /**
     * The window has ten parts of a processor while a page has one. At the lowest priority a page would stand still for minutes
     * where two other programs are busy.
     */
    private static final String PRIORITY = "10";
    /** It is looked at again after the time that is left, and not before this share of all of it. */
    private static final int PARTS = 10;
    /** What uses no more than this share of a processor meanwhile stands still. */
    private static final int STANDSTILL = 1000;

    private final Process process;
    private final DataOutputStream questions;
    private final DataInputStream answers;
    private final String version;

    /**
     * Starts one.
     *
     * @param data      the folder with the languages' data
     * @param languages such as {@code eng+deu}
     * @param cache     where native libraries are unpacked
     * @throws IOException if it does not start, with what it said
     */
    ReaderProcess(Path data, String languages, Path cache) throws IOException {
        List<String> command = new ArrayList<>();
        if (Files.isExecutable(Path.of("/usr/bin/nice"))) command.addAll(List.of("/usr/bin/nice", "-n", PRIORITY));
        command.addAll(List.of(Path.of(System.getProperty("java.home"), "bin", "java").toString(), "-Xmx320m", "-XX:+UseSerialGC",
                "-XX:TieredStopAtLevel=1", "-Xshare:auto", "--enable-native-access=ALL-UNNAMED",
                "-Dorg.bytedeco.javacpp.cachedir=" + cache, "-Djava.awt.headless=true", "-cp", classPath(), Main.class.getName(),
                data.toString(), languages));
        ProcessBuilder builder = new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.DISCARD);
        // Two pages at a time are faster than one page on two cores.
        builder.environment().put("OMP_THREAD_LIMIT", "1");
        builder.environment().remove("JAVA_TOOL_OPTIONS");
        process = builder.start();
        questions = new DataOutputStream(new BufferedOutputStream(process.getOutputStream(), 1 << 16));
        answers = new DataInputStream(new BufferedInputStream(process.getInputStream(), 1 << 16));
        version = "tesseract " + await(this::answer, STARTING);
    }

    /** All of the program's own jars: on the class path, modules are not resolved, which takes half the time of starting. */
    private static String classPath() throws IOException {
        List<String> all = new ArrayList<>();
        for (String property : List.of("jdk.module.path", "java.class.path")) {
            for (String entry : System.getProperty(property, "").split(File.pathSeparator)) if (!entry.isEmpty()) all.add(entry);
        }
        List<String> jars = new ArrayList<>();
        for (String entry : all) {
            boolean ofJars = false;
            if (Files.isDirectory(Path.of(entry))) {
                try (Stream<Path> files = Files.list(Path.of(entry))) {
                    ofJars = files.anyMatch(file -> file.toString().endsWith(".jar"));
                }
            }
            jars.add(ofJars ? entry + File.separator + "*" : entry);
        }
        return jars.stream().collect(Collectors.joining(File.pathSeparator));
    }

    /** {@return the engine and its version} */
    String version() {
        return version;
    }

    /**
     * Reads a picture; {@return the table of what is in it}
     *
     * @param columns whether it has columns of running text
     * @param limit   how much of a processor's time it may take; where others are busy, that takes longer
     * @throws IOException if it does not answer in time, or has ended; it is of no use then
     */
    String read(GreyPicture picture, boolean columns, Duration limit) throws IOException {
        return await(() -> {
            questions.writeInt(picture.width());
            questions.writeInt(picture.height());
            questions.writeInt(picture.dpi());
            questions.writeBoolean(columns);
            questions.write(picture.pixels());
            questions.flush();
            return answer();
        }, limit);
    }

    private String answer() throws IOException {
        try {
            return words();
        } catch (EOFException ended) {
            throw new IOException("the engine does not run here, or has ended", ended);
        }
    }

    private String words() throws IOException {
        int mark = answers.readInt();
        int length = answers.readInt();
        if (length < 0 || length > LONGEST_ANSWER) throw new IOException("an answer of " + length + " bytes");
        String words = new String(answers.readNBytes(length), StandardCharsets.UTF_8);
        if (mark != 0) throw new IOException(words);
        return words;
    }

    /** Something that is asked of the process. */
    @FunctionalInterface
    private interface Asking {
        String ask() throws IOException;
    }

    private String await(Asking asking, Duration limit) throws IOException {
        CompletableFuture<String> answer = new CompletableFuture<>();
        Thread.ofPlatform().daemon().name("recognition").start(() -> {
            try {
                answer.complete(asking.ask());
            } catch (IOException | RuntimeException | Error e) {
                answer.completeExceptionally(e);
            }
        });
        try {
            return await(answer, limit);
        } catch (ExecutionException e) {
            process.destroyForcibly();
            throw new IOException(String.valueOf(e.getCause().getMessage()), e.getCause());
        } catch (TimeoutException e) {
            process.destroyForcibly();
            throw new IOException("it took longer than " + limit.toSeconds() + " seconds", e);
        } catch (InterruptedException e) {
            process.destroyForcibly();
            Thread.currentThread().interrupt();
            throw new IOException("interrupted", e);
        }
    }

    private String await(CompletableFuture<String> answer, Duration limit)
            throws ExecutionException, TimeoutException, InterruptedException {
        Duration end = spent().plus(limit);
        for (Duration before = spent();;) {
            Duration turn = end.minus(before).compareTo(limit.dividedBy(PARTS)) > 0 ? end.minus(before) : limit.dividedBy(PARTS);
            try {
                return answer.get(turn.toMillis(), TimeUnit.MILLISECONDS);
            } catch (TimeoutException e) {
                Duration now = spent();
                if (now.compareTo(end) >= 0 || now.minus(before).compareTo(turn.dividedBy(STANDSTILL)) <= 0) throw e;
                before = now;
            }
        }
    }

    /** {@return how long a processor has worked for the process; what can be had of that} */
    private Duration spent() {
        return process.info().totalCpuDuration().orElse(Duration.ZERO);
    }

    @Override
    public void close() {
        process.destroyForcibly();
    }
}
