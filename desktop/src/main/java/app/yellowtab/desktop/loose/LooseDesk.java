package app.yellowtab.desktop.loose;

import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.work.Jobs;
import app.yellowtab.edit.number.NumberPreset;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.FindingException;
import app.yellowtab.mark.Mark;
import app.yellowtab.mark.MarkLook;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.number.BundleNumber;
import app.yellowtab.model.number.LineField;
import app.yellowtab.model.number.LinePart;
import app.yellowtab.model.number.MarkSetting;
import app.yellowtab.model.number.RunningLine;
import app.yellowtab.model.number.SerialNumber;
import app.yellowtab.model.number.Series;
import app.yellowtab.model.number.SeriesId;
import app.yellowtab.stamp.LoosePages;
import app.yellowtab.stamp.StampOrder;
import app.yellowtab.stamp.StampRegister;
import app.yellowtab.stamp.Stamper;
import java.io.IOException;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;

/** Loose files, and what is put on them. Knows no node. For the JavaFX thread. */
public final class LooseDesk {
    private static final SeriesId BATES = new SeriesId("bates");
    private static final SeriesId LINE = new SeriesId("line");

    /**
     * A file.
     *
     * @param pages   how many it has; 0 where it cannot be stamped
     * @param trouble why not; empty where it can
     */
    public record Loose(Path file, int pages, String trouble) {}

    /**
     * How it stands.
     *
     * @param number   running page numbers, on or not
     * @param series   Bates numbers, on or not
     * @param line     at head or foot, on or not
     * @param each     whether numbers begin anew in each file
     * @param folder   for the copies; empty until one is chosen
     */
    public record LooseState(List<Loose> files, BundleNumber number, boolean hasNumber, Series series, boolean hasSeries,
            RunningLine line, boolean hasLine, boolean each, String before, String after, Optional<Path> folder) {
        public LooseState {
            files = List.copyOf(files);
        }

        /** {@return those that can be stamped} */
        public List<Loose> good() {
            return files.stream().filter(file -> file.trouble().isEmpty()).toList();
        }

        /** {@return whether all is there that is needed} */
        public boolean isReady() {
            return !good().isEmpty() && folder.isPresent() && (hasNumber || hasSeries || hasLine);
        }
    }

    private final Jobs jobs;
    private final ReadOnlyObjectWrapper<LooseState> state;
    private final ReadOnlyStringWrapper said = new ReadOnlyStringWrapper(this, "said", "");
    private Stamper.Outcome done = new Stamper.Outcome(List.of(), List.of(), true);

    public LooseDesk(Jobs jobs) {
        this.jobs = jobs;
        Series series = new Series(BATES, "A-000001", new MarkSetting(Spot.OPPOSITE, MarkLook.SERIES));
        RunningLine line =
                new RunningLine(LINE, new MarkSetting(Spot.LINE, MarkLook.LINE), List.of(LinePart.Field.of(LineField.FILE_NAME)));
        state = new ReadOnlyObjectWrapper<>(this, "state",
                new LooseState(List.of(), BundleNumber.STANDARD, false, series, true, line,
                        false, false, "", Words.of("loose.after"), Optional.empty()));
    }

    public ReadOnlyObjectProperty<LooseState> stateProperty() {
        return state.getReadOnlyProperty();
    }

    /** {@return what is wrong, or what came of it} */
    public ReadOnlyStringProperty saidProperty() {
        return said.getReadOnlyProperty();
    }

    public Jobs jobs() {
        return jobs;
    }

    private void set(UnaryOperator<LooseState> change) {
        said.set("");
        state.set(change.apply(state.get()));
    }

    /** Brings files and folders in, in the background; what is there already stays once. */
    public void add(List<Path> named) {
        if (named.isEmpty()) return;
        jobs.start((progress, stop) -> {
            List<Loose> found = new ArrayList<>();
            List<Path> all = Stamper.pdfs(named);
            for (Path file : all) {
                if (stop.getAsBoolean()) break;
                progress.accept(new Jobs.JobProgress(Words.of("loose.reading", found.size() + 1, all.size()),
                        (double) found.size() / all.size()));
                found.add(loose(file));
            }
            return found;
        }, found -> set(now -> {
            List<Loose> files = new ArrayList<>(now.files());
            for (Loose one : found) if (files.stream().noneMatch(known -> known.file().equals(one.file()))) files.add(one);
            Optional<Path> folder = now.folder()
                    .or(() -> files.stream().findFirst().map(first -> first.file().resolveSibling(Words.of("loose.folder"))));
            return new LooseState(files, now.number(), now.hasNumber(), now.series(), now.hasSeries(), now.line(), now.hasLine(),
                    now.each(), now.before(), now.after(), folder);
        }), failure -> said.set(String.valueOf(failure.getMessage())));
    }

    private static Loose loose(Path file) {
        List<Finding> trouble = new ArrayList<>();
        Optional<Integer> pages = LoosePages.count(file, List.of(), trouble);
        return new Loose(file, pages.orElse(0), pages.isPresent() || trouble.isEmpty() ? "" : trouble.getFirst().message());
    }

    /** Takes files out of the list. */
    public void remove(List<Loose> files) {
        set(now -> withFiles(now, now.files().stream().filter(file -> !files.contains(file)).toList()));
    }

    /** Moves a file up or down. */
    public void move(Loose file, int by) {
        set(now -> {
            List<Loose> files = new ArrayList<>(now.files());
            int at = files.indexOf(file);
            int to = Math.clamp(at + (long) by, 0, files.size() - 1);
            files.remove(at);
            files.add(to, file);
            return withFiles(now, files);
        });
    }

    private static LooseState withFiles(LooseState now, List<Loose> files) {
        return new LooseState(files, now.number(), now.hasNumber(), now.series(), now.hasSeries(), now.line(), now.hasLine(),
                now.each(), now.before(), now.after(), now.folder());
    }

    /** Puts running page numbers on, or not. */
    public void number(boolean on, BundleNumber number) {
        set(now -> new LooseState(now.files(), number, on, now.series(), now.hasSeries(), now.line(), now.hasLine(), now.each(),
                now.before(), now.after(), now.folder()));
    }

    /** Takes the first page number as it is typed. */
    public void start(String typed) {
        BundleNumber number = state.get().number();
        Optional<Integer> start =
                typed.strip().matches("\\d{1,7}") ? Optional.of(Integer.parseInt(typed.strip())) : Optional.empty();
        if (start.isEmpty() || start.get() < number.style().least()) said.set(Words.of("number.noStart", typed.strip(),
                String.valueOf(number.style().least()), String.valueOf(BundleNumber.LARGEST_START)));
        else number(state.get().hasNumber(), number.withStart(start.get()));
    }

    /** Puts Bates numbers on, or not. */
    public void series(boolean on, MarkSetting setting) {
        set(now -> new LooseState(now.files(), now.number(), now.hasNumber(), now.series().withSetting(setting), on, now.line(),
                now.hasLine(), now.each(), now.before(), now.after(), now.folder()));
    }

    /** Takes the first Bates number as it is typed. */
    public void first(String typed) {
        Optional<SerialNumber> number = SerialNumber.read(typed);
        if (number.isEmpty()) said.set(Words.of("number.noNumber", typed.strip()));
        else if (!state.get().series().setting().look().hasLettersOf(typed.strip()))
            said.set(Words.of("number.noLetters", typed.strip()));
        else set(now -> new LooseState(now.files(), now.number(), now.hasNumber(), now.series().withFirst(typed.strip()),
                now.hasSeries(), now.line(), now.hasLine(), now.each(), now.before(), now.after(), now.folder()));
    }

    /** Puts a line on, or not. */
    public void line(boolean on, RunningLine line) {
        set(now -> new LooseState(now.files(), now.number(), now.hasNumber(), now.series(), now.hasSeries(), line, on, now.each(),
                now.before(), now.after(), now.folder()));
    }

    /** Says whether numbers begin anew in each file, what copies are called, and where they go. */
    public void copies(boolean each, String before, String after, Optional<Path> folder) {
        set(now -> new LooseState(now.files(), now.number(), now.hasNumber(), now.series(), now.hasSeries(), now.line(),
                now.hasLine(),
                each, before, after, folder));
    }

    /** Sets numbers and lines as they were kept. */
    public void use(NumberPreset preset) {
        set(now -> new LooseState(now.files(), preset.number(), true, preset.series().stream().findFirst().orElse(now.series()),
                !preset.series().isEmpty(), preset.lines().stream().findFirst().orElse(now.line()), !preset.lines().isEmpty(),
                now.each(), now.before(), now.after(), now.folder()));
    }

    /** {@return what is set now, to be kept} */
    public NumberPreset preset() {
        LooseState now = state.get();
        return new NumberPreset(now.number(), now.hasSeries() ? List.of(now.series()) : List.of(),
                now.hasLine() ? List.of(now.line()) : List.of());
    }

    private StampOrder order(LooseState now, Path folder) {
        return new StampOrder(now.good().stream().map(Loose::file).toList(), folder, now.before(), now.after(),
                now.hasNumber() ? Optional.of(now.number()) : Optional.empty(),
                now.hasSeries() ? Optional.of(now.series()) : Optional.empty(),
                now.hasLine() ? List.of(now.line()) : List.of(), now.each(), LocalDateTime.now(), List.of());
    }

    /** {@return the marks of a file's first page} */
    public List<Mark> firstMarks(Loose file) {
        LooseState now = state.get();
        return LoosePages.marks(order(now, now.folder().orElse(Path.of(""))), now.good().stream().map(Loose::pages).toList(),
                now.good().indexOf(file), 1);
    }

    /** {@return the numbers of a file, such as "TH-000101 to TH-000104"; empty where it bears none} */
    public String numbers(Loose file) {
        LooseState now = state.get();
        int at = now.good().indexOf(file);
        if (at < 0) return "";
        StampOrder order = order(now, now.folder().orElse(Path.of("")));
        List<Integer> pages = now.good().stream().map(Loose::pages).toList();
        String first = LoosePages.name(order, pages, at, 1);
        String last = LoosePages.name(order, pages, at, file.pages());
        return first.isEmpty() ? "" : first.equals(last) ? first : Words.of("loose.span", first, last);
    }

    /** Stamps all that can be, in the background. */
    public void stamp() {
        LooseState now = state.get();
        if (!now.isReady()) return;
        StampOrder order = order(now, now.folder().orElseThrow());
        jobs.start(
                (progress, stop) -> Stamper.stamp(order,
                        (n, of) -> progress.accept(new Jobs.JobProgress(Words.of("loose.stamping", n, of), (double) n / of)),
                        stop),
                outcome -> {
                    done = outcome;
                    StringBuilder words = new StringBuilder(
                            Words.of(outcome.isWhole() ? "loose.done" : "loose.stopped", outcome.files().size(), order.folder()));
                    outcome.findings().forEach(finding -> words.append("\n").append(finding.message()));
                    said.set(words.toString());
                }, this::failed);
    }

    /** {@return whether something was stamped, of which a register can be written} */
    public boolean hasDone() {
        return !done.files().isEmpty();
    }

    /** Writes which page of which file bears which number, in the background. */
    public void writeRegister(Path target) {
        Stamper.Outcome outcome = done;
        jobs.start((progress, stop) -> {
            StampRegister.write(outcome.files(), target);
            return target;
        }, file -> said.set(Words.of("loose.registered", file)), this::failed);
    }

    /** Takes off what was put on the files earlier, in copies. */
    public void takeOff() {
        LooseState now = state.get();
        if (now.folder().isEmpty()) return;
        Path folder = now.folder().get();
        List<Path> files = now.good().stream().map(Loose::file).toList();
        jobs.start((progress, stop) -> {
            int count = 0;
            StringBuilder refused = new StringBuilder();
            for (Path file : files) {
                if (stop.getAsBoolean()) break;
                try {
                    if (Stamper.takenOff(file, folder.resolve(file.getFileName()), List.of())) count++;
                } catch (FindingException one) {
                    refused.append("\n").append(one.getMessage());
                }
            }
            return Words.of("loose.takenOff", count, folder) + refused;
        }, said::set, this::failed);
    }

    private void failed(Throwable failure) {
        said.set(failure instanceof FindingException || failure instanceof IOException ? String.valueOf(failure.getMessage())
                : Words.of("start.unexpected", failure.getClass().getSimpleName()));
    }
}
