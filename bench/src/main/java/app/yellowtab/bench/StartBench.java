package app.yellowtab.bench;

import app.yellowtab.model.Bundle;
import app.yellowtab.store.BundleFolder;
import java.awt.AWTException;
import java.awt.Rectangle;
import java.awt.Robot;
import java.awt.event.InputEvent;
import java.awt.image.BufferedImage;
import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;

/**
 * From the start of a process to its painted window, to the first frame that answers a click in the index and to that in which
 * another stage is shown, as somebody at the screen sees it: the picture of the screen is looked at, and the mouse is pressed. In
 * turn with an empty JavaFX window, each with a cache of what Java has learned of its classes and without; and the command line
 * beside an empty program.
 */
final class StartBench {
    private static final int ROUNDS = 5;
    private static final int WAIT_SECONDS = 60;
    /** So much of the screen is the window's when it is there. */
    private static final double PAINTED = 0.3;
    /** Of our main button and of the empty window: seen when what matters is there. */
    private static final int YELLOW = 0xF3C41B;
    private static final int FEWEST_YELLOW = 40;
    private static final int STEP = 8;
    private static final long REST_MILLIS = 40;
    /** In the rail: a stage that is made when one goes there. */
    private static final int NUMBER_X = 39;
    private static final int NUMBER_Y = 320;
    private static final long LEARNING_MILLIS = 10_000;

    private final Path home;
    private final Path work;
    private final Robot robot;
    // Small parts of the screen: who looks at all of it takes the processor away from what is looked at.
    private final Rectangle someOfIt = new Rectangle(540, 340, 120, 80);
    /** Where the empty window is yellow, and ours has the button that produces, in all stages. */
    private final Rectangle sign = new Rectangle(1170, 746, 90, 44);
    private final Rectangle changing = new Rectangle(300, 200, 160, 160);

    /** @param home of the program, with what was built */
    StartBench(Path home, Path work) throws IOException {
        this.home = home.toAbsolutePath().normalize();
        this.work = Files.createDirectories(work.toAbsolutePath().normalize());
        try {
            this.robot = new Robot();
        } catch (AWTException noScreen) {
            throw new IOException("there is no screen to look at", noScreen);
        }
    }

    /** Something that is started, and how; the empty window has no stages. */
    private record Program(String name, List<String> command, Path user, boolean hasStages) {}

    /** When it was seen, in seconds from the start of the process. */
    private record Seen(double painted, double whole, double answers, double stage) {}

    void run() throws IOException {
        Path small = bundle("small", 40);
        Path large = bundle("large", 2000);
        List<Program> programs = new ArrayList<>();
        for (boolean warm : new boolean[] {true, false}) {
            String how = warm ? "warm" : "cold";
            programs.add(new Program("empty window, " + how,
                    emptyWindow(warm ? List.of(cache("empty", emptyWindow(List.of()))) : List.of()), work, false));
            List<String> with = warm ? List.of(cache("window", window(List.of(), small))) : List.of();
            programs.add(new Program("ours with 40 documents, " + how, window(with, small), user("user-" + how), true));
            programs.add(new Program("ours with 2,000, " + how, window(with, large), user("user-large-" + how), true));
        }
        for (Program program : programs) {
            List<Seen> all = new ArrayList<>();
            for (int round = 0; round < ROUNDS; round++) all.add(see(program, 0));
            System.out.printf(Locale.ROOT, "%-30s painted %5.2f s, whole %5.2f s, answers a click %5.2f s (slowest %5.2f)%s%n",
                    program.name(), median(all.stream().map(Seen::painted).toList()),
                    median(all.stream().map(Seen::whole).toList()), median(all.stream().map(Seen::answers).toList()),
                    all.stream().mapToDouble(Seen::answers).max().orElse(0),
                    program.hasStages() ? String.format(Locale.ROOT, ", another stage %5.2f s",
                            median(all.stream().map(Seen::stage).toList())) : "");
        }
        commandLine();
    }

    private static double median(List<Double> times) {
        return times.stream().sorted(Comparator.naturalOrder()).toList().get(times.size() / 2);
    }

    private Path user(String name) throws IOException {
        return Files.createDirectories(work.resolve(name));
    }

    private Path bundle(String name, int documents) throws IOException {
        Path folder = work.resolve(name);
        if (Files.exists(folder)) return folder;
        Bundle all = PlanBenchmark.bundle();
        Bundle some = documents >= 2000 ? all : PlanBenchmark.bundle(documents);
        BundleFolder.create(folder, some).close();
        return folder;
    }

    private String java() {
        return Path.of(System.getProperty("java.home"), "bin", "java").toString();
    }

    private Path jar(String module) throws IOException {
        try (Stream<Path> jars = Files.list(home.resolve(module).resolve("target"))) {
            return jars.filter(file -> file.getFileName().toString().matches(module + "-[\\d.]+\\.jar")).findFirst()
                    .orElseThrow(() -> new IOException("not built: " + module));
        }
    }

    private List<String> window(List<String> more, Path folder) throws IOException {
        List<String> command = ours("window");
        command.addAll(more);
        command.addAll(List.of("-p", jar("desktop") + File.pathSeparator + home.resolve("desktop/target/lib"), "--add-modules",
                "ALL-MODULE-PATH", "-m", "app.yellowtab.desktop/app.yellowtab.desktop.Main", "open", folder.toString()));
        return command;
    }

    /** {@return Java with the options with which the launcher starts one of our programs; it names them itself} */
    private List<String> ours(String program) {
        List<String> command = new ArrayList<>(List.of(java(), "-Xlog:aot=off", "-Xlog:cds=off"));
        command.addAll(List.of(System.getProperty("bench.java." + program, "").split(" ")));
        return command;
    }

    private List<String> emptyWindow(List<String> more) throws IOException {
        List<String> command = new ArrayList<>(List.of(java(), "-Xlog:aot=off", "-Xlog:cds=off"));
        command.addAll(more);
        command.addAll(List.of("--enable-native-access=javafx.graphics", "-XX:+UseParallelGC", "-Xmx1g", "-p",
                home.resolve("desktop/target/lib").toString(), "--add-modules", "javafx.controls",
                "-cp", jar("bench").toString(), "app.yellowtab.bench.EmptyWindow"));
        return command;
    }

    /** {@return the option that uses a cache of a program's classes} Learned from one start of it, here and now. */
    private String cache(String name, List<String> command) throws IOException {
        Path file = work.resolve(name + ".aot");
        Files.deleteIfExists(file);
        List<String> learning = new ArrayList<>(command);
        learning.add(1, "-XX:AOTCacheOutput=" + file);
        // Somebody works with it for a while before it is closed.
        see(new Program(name, learning, user("user-learning"), !name.equals("empty")), LEARNING_MILLIS);
        if (!Files.exists(file)) throw new IOException("nothing was learned of " + name);
        return "-XX:AOTCache=" + file;
    }

    private Seen see(Program program, long stay) throws IOException {
        ProcessBuilder builder = new ProcessBuilder(program.command()).redirectErrorStream(true)
                .redirectOutput(work.resolve("output.txt").toFile());
        builder.environment().put("YELLOWTAB_HOME", program.user().toString());
        // Where it will be pressed, so that no row is lit because the mouse has come.
        robot.mouseMove(changing.x + changing.width / 2, changing.y + changing.height / 2);
        long begun = System.nanoTime();
        Process process = builder.start();
        try {
            double painted = until(begun, process, () -> share(picture(someOfIt)) > PAINTED);
            double whole = until(begun, process, () -> yellow(picture(sign)) > FEWEST_YELLOW);
            double answers = pressed(begun, process);
            double stage = answers;
            if (program.hasStages()) {
                robot.mouseMove(NUMBER_X, NUMBER_Y);
                stage = pressed(begun, process);
            }
            rest(stay);
            return new Seen(painted, whole, answers, stage);
        } finally {
            process.destroy();
            end(process);
        }
    }

    /** {@return when pressing the mouse where it is has changed the picture} */
    private double pressed(long begun, Process process) throws IOException {
        BufferedImage before = picture(changing);
        return until(begun, process, () -> {
            robot.mousePress(InputEvent.BUTTON1_DOWN_MASK);
            robot.mouseRelease(InputEvent.BUTTON1_DOWN_MASK);
            return differ(before, picture(changing));
        });
    }

    private static void end(Process process) throws IOException {
        try {
            if (!process.waitFor(WAIT_SECONDS, TimeUnit.SECONDS)) process.destroyForcibly();
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new IOException("interrupted", stopped);
        }
    }

    /** Something that is seen. */
    @FunctionalInterface
    private interface Sight {
        boolean isSeen();
    }

    private static double until(long begun, Process process, Sight sight) throws IOException {
        while (!sight.isSeen()) {
            if (!process.isAlive()) throw new IOException("it ended before it was seen");
            if (System.nanoTime() - begun > WAIT_SECONDS * 1_000_000_000L)
                throw new IOException("it was not seen within a minute");
            rest(REST_MILLIS);
        }
        return (System.nanoTime() - begun) / 1e9;
    }

    private static void rest(long millis) throws IOException {
        try {
            Thread.sleep(millis);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new IOException("interrupted", stopped);
        }
    }

    private BufferedImage picture(Rectangle part) {
        return robot.createScreenCapture(part);
    }

    /** {@return how much of a picture is not as black as an empty screen} */
    private static double share(BufferedImage image) {
        int lit = 0;
        int all = 0;
        for (int y = 0; y < image.getHeight(); y += STEP) {
            for (int x = 0; x < image.getWidth(); x += STEP) {
                all++;
                if ((image.getRGB(x, y) & 0xFFFFFF) != 0) lit++;
            }
        }
        return (double) lit / all;
    }

    private static int yellow(BufferedImage image) {
        int count = 0;
        for (int y = 0; y < image.getHeight(); y += 2)
            for (int x = 0; x < image.getWidth(); x += 2) if ((image.getRGB(x, y) & 0xFFFFFF) == YELLOW) count++;
        return count;
    }

    private static boolean differ(BufferedImage one, BufferedImage other) {
        int count = 0;
        for (int y = 0; y < one.getHeight(); y += STEP)
            for (int x = 0; x < one.getWidth(); x += STEP) if (one.getRGB(x, y) != other.getRGB(x, y)) count++;
        return count > 20;
    }

    private void commandLine() throws IOException {
        List<String> empty = List.of(java(), "-cp", jar("bench").toString(), "app.yellowtab.bench.EmptyProgram");
        List<String> ours = ours("cli");
        ours.addAll(List.of("-p", jar("cli") + File.pathSeparator + home.resolve("cli/target/lib"), "--add-modules",
                "ALL-MODULE-PATH", "-m", "app.yellowtab.cli/app.yellowtab.cli.Main", "--version"));
        System.out.printf(Locale.ROOT, "%-30s %5.2f s%n", "empty program", took(empty));
        System.out.printf(Locale.ROOT, "%-30s %5.2f s%n", "command line, cold", took(ours));
        Path learned = work.resolve("cli.aot");
        List<String> learning = new ArrayList<>(ours);
        learning.add(1, "-XX:AOTCacheOutput=" + learned);
        took(learning);
        ours.add(1, "-XX:AOTCache=" + learned);
        System.out.printf(Locale.ROOT, "%-30s %5.2f s%n", "command line, warm", took(ours));
    }

    private double took(List<String> command) {
        List<Double> times = new ArrayList<>();
        for (int round = 0; round < ROUNDS; round++) {
            try {
                long begun = System.nanoTime();
                end(new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(work.resolve("output.txt").toFile())
                        .start());
                times.add((System.nanoTime() - begun) / 1e9);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
        return median(times);
    }
}
