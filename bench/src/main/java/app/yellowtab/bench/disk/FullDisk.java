package app.yellowtab.bench.disk;

import app.yellowtab.assemble.Assembler;
import app.yellowtab.edit.Edits;
import app.yellowtab.edit.Place;
import app.yellowtab.edit.Placeholders;
import app.yellowtab.edit.number.NumberEdits;
import app.yellowtab.files.Drafts;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Progress;
import app.yellowtab.intake.FoundFolder;
import app.yellowtab.intake.Intake;
import app.yellowtab.mark.MarkLook;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.number.GivenNumber;
import app.yellowtab.model.number.MarkSetting;
import app.yellowtab.model.number.Series;
import app.yellowtab.model.number.SeriesId;
import app.yellowtab.model.source.Source;
import app.yellowtab.plan.Planner;
import app.yellowtab.register.MatterRegister;
import app.yellowtab.source.Fingerprint;
import app.yellowtab.store.BundleFolder;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;

/**
 * Does on a small disk of its own what a user does, with ever more room left on it, until it works: each time the user is told,
 * and nothing is lost that was there. Needs the right to mount a disk.
 */
public final class FullDisk {
    private static final SeriesId BATES = new SeriesId("bates");
    private static final int STEP_BYTES = 4096;
    private static final int MOST_STEPS = 2000;

    private final Path disk;
    private final Path kept;
    private final List<Path> more;
    private Bundle before = Bundle.EMPTY;
    private List<MatterRegister.Span> entered = List.of();
    private String product = "";
    private int wrong;

    /** Something that a user does. */
    @FunctionalInterface
    private interface Act {
        void run(BundleFolder folder, Bundle bundle) throws IOException;
    }

    private FullDisk(Path folder, List<Path> more) {
        this.disk = folder.resolve("small-disk");
        this.kept = folder.resolve("kept");
        this.more = List.copyOf(more);
    }

    /**
     * Tries all, prints what came of it, and ends the program with 1 where something was lost or nobody was told.
     *
     * @param folder for what is made
     * @param files  two or more that a bundle is made of
     */
    public static void run(Path folder, List<Path> files) throws IOException {
        FullDisk full = new FullDisk(folder, files.subList(2, files.size()));
        Files.createDirectories(full.disk);
        command("mount", "-t", "tmpfs", "-o", "size=64m", "tmpfs", full.disk.toString());
        try {
            full.begin(files.subList(0, 2));
            full.acts().forEach(full::tryOut);
        } finally {
            command("umount", full.disk.toString());
        }
        System.out.println(full.wrong == 0 ? "Nothing was lost, and all was said." : full.wrong + " times something was wrong.");
        if (full.wrong > 0) System.exit(1);
    }

    private static void command(String... words) throws IOException {
        try {
            if (new ProcessBuilder(words).inheritIO().start().waitFor() != 0)
                throw new IOException(String.join(" ", words) + " did not work");
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private Path bundle() {
        return disk.resolve("bundle");
    }

    private Path target() {
        return disk.resolve("Trial bundle.pdf");
    }

    private Path register() {
        return disk.resolve("register.csv");
    }

    /** Makes the matter that is there when the disk becomes full, and keeps it elsewhere. */
    private void begin(List<Path> files) throws IOException {
        MatterRegister.begin(register());
        try (BundleFolder folder = BundleFolder.create(bundle(), Bundle.EMPTY)) {
            Intake.Taken taken = bringIn(folder, files);
            Bundle with = Edits.append(Edits.addSources(Bundle.EMPTY, taken.sources()), taken.contents());
            before = NumberEdits.with(with, new Series(BATES, "TH-1", new MarkSetting(Spot.OPPOSITE, MarkLook.SERIES)));
            before = before.withNumbering(before.numbering().withRegister("../register.csv"));
            issue(folder, before);
            before = NumberEdits.issued(before, numbers(before));
            folder.save(before);
            produce(folder, before);
        }
        entered = MatterRegister.read(register());
        product = Fingerprint.of(target());
        clear(kept);
        copy(disk, kept);
    }

    private Map<String, Act> acts() {
        Map<String, Act> acts = new LinkedHashMap<>();
        acts.put("open", (folder, bundle) -> {
            folder.close();
            BundleFolder.open(bundle()).folder().close();
        });
        acts.put("save", (folder, bundle) -> folder.save(Edits.insertDocuments(bundle,
                Stream.generate(() -> Placeholders.placeholder("A statement that is still to come", 2)).limit(300).toList(),
                new Place(Optional.empty(), 0))));
        acts.put("bring in", (folder, bundle) -> {
            Intake.Taken taken = bringIn(folder, more);
            folder.save(Edits.append(Edits.addSources(bundle, taken.sources()), taken.contents()));
            if (!taken.findings().isEmpty()) throw new FindingException(taken.findings().getFirst(), null);
        });
        acts.put("issue", (folder, bundle) -> {
            Bundle again = NumberEdits.with(bundle, new Series(new SeriesId("other"), "A-1",
                    new MarkSetting(Spot.STANDARD, MarkLook.SERIES)));
            MatterRegister.enter(register(), MatterRegister.spans(Planner.plan(again).numbersOf(again, new SeriesId("other")),
                    folder.id(), "Trial", LocalDate.now()));
            folder.save(again);
        });
        acts.put("take back", (folder, bundle) -> {
            MatterRegister.takeBack(register(),
                    MatterRegister.spans(numbers(bundle), folder.id(), "Trial", LocalDate.now()), LocalDate.now());
            folder.save(NumberEdits.takenBack(bundle, numbers(bundle)));
        });
        acts.put("produce", FullDisk.this::produce);
        return acts;
    }

    private static Intake.Taken bringIn(BundleFolder folder, List<Path> files) {
        return new Intake(folder).bringIn(FoundFolder.of(files, new ArrayList<>()), Intake.Listener.NONE, () -> false);
    }

    private static List<GivenNumber> numbers(Bundle bundle) {
        return Planner.plan(bundle).numbersOf(bundle, BATES);
    }

    private void issue(BundleFolder folder, Bundle bundle) throws IOException {
        MatterRegister.enter(register(), MatterRegister.spans(numbers(bundle), folder.id(), "Trial", LocalDate.now()));
    }

    private void produce(BundleFolder folder, Bundle bundle) throws IOException {
        folder.know(bundle.sources());
        Assembler.standard().assemble(Planner.plan(bundle), folder, target(), Progress.NONE, () -> false);
    }

    private void tryOut(String name, Act act) {
        Map<String, Integer> said = new TreeMap<>();
        int step = 0;
        boolean done = false;
        try {
            for (; step < MOST_STEPS && !done; step++) {
                clear(disk);
                copy(kept, disk);
                done = tried(name, act, (long) step * STEP_BYTES, said);
                check(name + " with " + step * STEP_BYTES / 1024 + " KB left");
            }
        } catch (IOException e) {
            wrong(name, "cannot be tried: " + e);
        }
        System.out.printf(Locale.ROOT, "%-10s %4d times on a full disk, done with %,d KB left%n", name, step - 1,
                (step - 1) * STEP_BYTES / 1024);
        said.forEach((words, times) -> System.out.printf(Locale.ROOT, "           %4d times: %s%n", times, words));
    }

    private boolean tried(String name, Act act, long room, Map<String, Integer> said) throws IOException {
        BundleFolder.Opened opened = BundleFolder.open(bundle());
        Path ballast = disk.resolve("ballast");
        try (BundleFolder folder = opened.folder()) {
            fill(ballast, room);
            act.run(folder, opened.bundle());
            return true;
        } catch (FindingException known) {
            said.merge(String.valueOf(known.getMessage()).replaceAll("\\.yellowtab-[-\\w]+\\.part", "(draft)"), 1, Integer::sum);
        } catch (IOException | RuntimeException | Error unsaid) {
            wrong(name, "with " + room / 1024 + " KB left: nobody is told but by " + unsaid);
        } finally {
            Files.deleteIfExists(ballast);
        }
        return false;
    }

    private void fill(Path ballast, long room) throws IOException {
        long left = Files.getFileStore(disk).getUsableSpace() - room;
        try (var out = Files.newOutputStream(ballast)) {
            byte[] part = new byte[STEP_BYTES];
            for (; left >= STEP_BYTES; left -= STEP_BYTES) out.write(part);
        }
    }

    /** Looks whether all is there that was there, and nothing is half. */
    private void check(String when) throws IOException {
        if (!MatterRegister.read(register()).containsAll(entered)) wrong(when, "the register has lost numbers");
        BundleFolder.Opened opened = BundleFolder.open(bundle());
        try (BundleFolder folder = opened.folder()) {
            if (!opened.bundle().sourcesById().keySet().containsAll(before.sourcesById().keySet()))
                wrong(when, "files are gone from the bundle");
            for (Source source : opened.bundle().sources())
                if (!Fingerprint.of(folder.original(source.id())).equals(source.sha256())) wrong(when, source.fileName());
            if (!Fingerprint.of(target()).equals(product)) {
                // What was produced anew is whole.
                Path again = kept.resolveSibling("again.pdf");
                Assembler.standard().assemble(Planner.plan(before), folder, again, Progress.NONE, () -> false);
                if (Math.abs(Files.size(again) - Files.size(target())) > Files.size(again) / 100) wrong(when, "half a product");
            }
        }
        try (Stream<Path> left = Files.walk(disk)) {
            left.filter(Drafts::is).forEach(draft -> wrong(when, draft + " was left"));
        }
    }

    private void wrong(String when, String what) {
        wrong++;
        System.out.println("WRONG: " + when + ": " + what);
    }

    private static void clear(Path folder) throws IOException {
        if (!Files.exists(folder)) return;
        try (Stream<Path> all = Files.walk(folder)) {
            for (Path path : all.sorted(Comparator.reverseOrder()).toList()) if (!path.equals(folder)) Files.delete(path);
        }
    }

    private static void copy(Path from, Path to) throws IOException {
        Files.createDirectories(to);
        try (Stream<Path> all = Files.walk(from)) {
            for (Path path : all.toList()) {
                Path there = to.resolve(from.relativize(path).toString());
                if (Files.isDirectory(path)) Files.createDirectories(there);
                else Files.copy(path, there);
            }
        }
    }
}
