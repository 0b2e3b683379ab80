package app.yellowtab.desktop.work;

import app.yellowtab.compare.FileComparison;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.edit.Edits;
import app.yellowtab.edit.repage.GonePages;
import app.yellowtab.edit.repage.Repaging;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Progress;
import app.yellowtab.intake.FoundFolder;
import app.yellowtab.intake.Intake;
import app.yellowtab.keep.RememberedPasswords;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Reading;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.picture.PageRenderer;
import app.yellowtab.picture.PictureFiles;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Brings files into the open bundle, in the background. One intake is one edit, so that undo takes all of it back. */
public final class Intakes {
    private static final Logger LOG = LoggerFactory.getLogger(Intakes.class);

    private final Workspace workspace;
    private final RememberedPasswords remembered;
    private boolean remembers;
    private final ReadOnlyObjectWrapper<List<Coming>> coming = new ReadOnlyObjectWrapper<>(this, "coming", List.of());
    private final Map<Object, List<Coming>> perIntake = new HashMap<>();

    public Intakes(Workspace workspace, RememberedPasswords remembered) {
        this.workspace = workspace;
        this.remembered = remembered;
        workspace.jobs().quietly(() -> !remembered.list().isEmpty(), any -> remembers = any);
    }

    /**
     * A file that is being brought in.
     *
     * @param source empty until it has been read
     */
    public record Coming(String name, Optional<Source> source) {}

    /** {@return the files that are being brought in and are not in the bundle yet} */
    public ReadOnlyObjectProperty<List<Coming>> comingProperty() {
        return coming.getReadOnlyProperty();
    }

    /** Brings files and folders into the tray. */
    public void bringIn(List<Path> paths) {
        bringIn(paths, taken -> bundle -> Edits.addSources(bundle, taken.sources()), taken -> {});
    }

    /**
     * Brings files and folders in.
     *
     * @param change makes the edit of what came
     * @param then   is given what came, after the edit
     */
    public void bringIn(List<Path> paths, Function<Intake.Taken, UnaryOperator<Bundle>> change, Consumer<Intake.Taken> then) {
        Object intake = new Object();
        List<Finding> folders = new ArrayList<>();
        Reading reading = workspace.bundle().reading();
        workspace.jobs().start((progress, stop) -> {
            Intake reader = Intake.besideWindow(workspace.folder(), workspace.folder().passwords(), reading);
            FoundFolder found = FoundFolder.of(paths, folders);
            Arrivals arrivals = new Arrivals(names(found), list -> show(intake, list),
                    sources -> workspace.jobs().later(() -> workspace.keepArriving(intake, sources)));
            return reader.bringIn(found, arrivals.reporting(progress), stop);
        }, taken -> {
            workspace.folder().know(taken.sources());
            workspace.editSoon("edit.bringIn", change.apply(taken), worked -> {
                show(intake, List.of());
                workspace.arrived(intake);
                workspace.findings().addAll(folders);
                workspace.findings().addAll(taken.findings());
                if (worked) then.accept(taken);
            });
        }, failure -> {
            show(intake, List.of());
            workspace.arrived(intake);
            workspace.findings().add(Finding.of(Finding.Code.NOT_READABLE, paths.getFirst()));
        });
    }

    /**
     * Tries a password on locked sources.
     *
     * @param keep whether it is remembered on this computer, if it opens any of them
     * @param done is told how many of them it opened
     */
    public void unlock(List<Source> locked, String password, boolean keep, Consumer<Integer> done) {
        List<String> passwords = new ArrayList<>(workspace.folder().passwords());
        if (!passwords.contains(password)) passwords.add(password);
        Reading reading = workspace.bundle().reading();
        readAgain(locked, passwords, read -> {
            List<Anew> opened = read.stream().filter(one -> one.read().isRead()).toList();
            if (!opened.isEmpty()) {
                workspace.tryPasswords(passwords);
                if (keep) remember(password);
            }
            learn(opened, reading, () -> done.accept(opened.size()));
        });
    }

    /** Reads sources anew, after the user has chosen otherwise how they are read. */
    public void readAgain(List<Source> sources) {
        if (sources.isEmpty()) return;
        Reading reading = workspace.bundle().reading();
        // What cannot be read any more, such as a file that is locked again, stays as it was.
        readAgain(sources, workspace.folder().passwords(),
                read -> learn(read.stream().filter(one -> one.read().isRead()).toList(), reading, () -> {}));
    }

    /**
     * A file that was read anew.
     *
     * @param repaging what has become of its pages; empty where they are those that they were
     * @param inside   what lay inside it, where it could not be opened before
     */
    private record Anew(Intake.Reread read, Optional<Repaging> repaging, Optional<Intake.Taken> inside) {}

    /**
     * Takes in what reading files anew has brought, in every state of the bundle in which they are read in that way; and in the
     * others where a file could not be read at all. What was on pages that are gone, or that somebody must look at, is said.
     *
     * @param then is run when that is over
     */
    private void learn(List<Anew> read, Reading reading, Runnable then) {
        Bundle before = workspace.bundle();
        List<Repaging> compared = read.stream().flatMap(one -> one.repaging().stream()).toList();
        workspace.learnSoon("edit.readAgain", bundle -> {
            Map<SourceId, Source> sources = bundle.sourcesById();
            Map<SourceId, UnaryOperator<Source>> changes = new HashMap<>();
            for (Anew one : read) {
                Source known = sources.get(one.read().source());
                if (known != null && (bundle.reading().equals(reading) || !known.isRead()))
                    changes.put(one.read().source(), one.read()::in);
            }
            return changes.isEmpty() ? bundle : Edits.changeSources(bundle, changes, compared);
        }, worked -> {
            if (worked) sayLearned(before, read, compared);
            then.run();
        });
    }

    private void sayLearned(Bundle before, List<Anew> read, List<Repaging> compared) {
        for (Anew one : read) one.inside().ifPresent(inside -> follow(one.read().source(), inside));
        Bundle now = workspace.bundle();
        Map<SourceId, Source> sources = now.sourcesById();
        for (Repaging repaging : compared) {
            Source source = sources.get(repaging.after().source());
            if (source == null || !source.asRead().equals(repaging.after())) continue;
            GonePages.finding(before, repaging).ifPresent(workspace.findings()::add);
            if (now.toLookAt().stream().anyMatch(again -> again.before().equals(repaging.before())))
                workspace.findings().add(Finding.about(Finding.Code.LOOK_AGAIN, source.fileName(), ""));
        }
    }

    private void follow(SourceId file, Intake.Taken inside) {
        workspace.folder().know(inside.sources());
        workspace.edit(bundle -> Edits.follow(bundle, file, inside.sources(), inside.contents().allDocuments()));
        workspace.findings().addAll(inside.findings());
    }

    private void remember(String password) {
        change(() -> remembered.remember(password));
    }

    /** {@return whether passwords are remembered on this computer, as far as that is known by now} */
    public boolean remembersPasswords() {
        return remembers;
    }

    /** Forgets the passwords that are remembered on this computer; in the open bundle they stay until it is closed. */
    public void forgetPasswords() {
        change(remembered::forget);
    }

    /** Something that is done to what is remembered. */
    @FunctionalInterface
    private interface Change {
        void run() throws IOException;
    }

    /** What is remembered after a change, and why that could not be made. */
    private record Remembered(boolean any, Optional<String> refused) {}

    private void change(Change change) {
        workspace.jobs().quietly(() -> {
            // One change after the other.
            synchronized (remembered) {
                Optional<String> refused = Optional.empty();
                try {
                    change.run();
                } catch (IOException unwritten) {
                    refused = Optional.of(String.valueOf(unwritten.getMessage()));
                }
                return new Remembered(!remembered.list().isEmpty(), refused);
            }
        }, now -> {
            remembers = now.any();
            now.refused().ifPresent(why -> workspace.findings()
                    .add(Finding.of(Finding.Code.PASSWORDS_NOT_CHANGED, remembered.file(), why)));
        });
    }

    private void readAgain(List<Source> sources, List<String> passwords, Consumer<List<Anew>> done) {
        Reading reading = workspace.bundle().reading();
        workspace.jobs().start((progress, stop) -> {
            Intake intake = Intake.besideWindow(workspace.folder(), passwords, reading);
            List<Anew> read = new ArrayList<>();
            List<Finding> lost = new ArrayList<>();
            for (int n = 0; n < sources.size() && !stop.getAsBoolean(); n++) {
                Source source = sources.get(n);
                progress.accept(new Jobs.JobProgress(Words.of("intake.state", n + 1, sources.size(), source.fileName()),
                        (double) n / sources.size()));
                try {
                    Anew one = anew(intake, source, stop);
                    // What was stopped takes pages for changed ones that nobody has looked at.
                    if (!stop.getAsBoolean()) read.add(one);
                } catch (IOException | RuntimeException | Error unread) {
                    LOG.warn("not read anew: {}", source.fileName(), unread);
                    lost.add(Finding.about(Finding.Code.NOT_READ_ANEW, source.fileName(), ""));
                }
            }
            return new AllAnew(read, lost);
        }, all -> {
            workspace.findings().addAll(all.lost());
            done.accept(all.read());
        }, failure -> workspace.findings()
                .add(Finding.about(Finding.Code.NOT_READ_ANEW, sources.getFirst().fileName(), "")));
    }

    /** What came of several, and what could not be read at all and stays as it was. */
    private record AllAnew(List<Anew> read, List<Finding> lost) {}

    private Anew anew(Intake intake, Source source, BooleanSupplier stop) throws IOException {
        Intake.Reread one = intake.readAgain(source, workspace.folder());
        Optional<Repaging> repaging = one.before().asRead().equals(one.after().asRead()) ? Optional.empty()
                : Optional.of(compared(one, stop));
        boolean opened = !one.before().isRead() && one.isRead();
        return new Anew(one, repaging, opened
                ? Optional.of(intake.bringInside(one.after(), workspace.folder().original(source.id()), stop))
                : Optional.empty());
    }

    private void show(Object intake, List<Coming> list) {
        workspace.jobs().later(() -> {
            if (list.isEmpty()) perIntake.remove(intake);
            else perIntake.put(intake, list);
            List<Coming> all = new ArrayList<>();
            perIntake.values().forEach(all::addAll);
            coming.set(List.copyOf(all));
        });
    }

    private static List<String> names(FoundFolder found) {
        List<String> names = new ArrayList<>(found.files().stream().map(file -> String.valueOf(file.getFileName())).toList());
        found.folders().forEach(folder -> names.addAll(names(folder)));
        return names;
    }

    /** Keeps, on the threads of the intake, which files have come; what the window hears of it is one change in a while. */
    private static final class Arrivals {
        private static final long WHILE_NANOS = 150_000_000;
        /** What has come in is saved as often as this, so that a power cut costs no more. */
        private static final long KEEP_NANOS = 900_000_000;

        private final List<Coming> list;
        private final Map<String, List<Integer>> places = new HashMap<>();
        private final Consumer<List<Coming>> show;
        private final Consumer<List<Source>> keep;
        private final List<Source> come = new ArrayList<>();
        private long shown;
        private long kept = System.nanoTime();

        private Arrivals(List<String> names, Consumer<List<Coming>> show, Consumer<List<Source>> keep) {
            this.keep = keep;
            this.list = new ArrayList<>(names.stream().map(name -> new Coming(name, Optional.empty())).toList());
            for (int i = 0; i < names.size(); i++) places.computeIfAbsent(names.get(i), name -> new ArrayList<>()).add(i);
            this.show = show;
            show.accept(List.copyOf(list));
        }

        private Intake.Listener reporting(Consumer<Jobs.JobProgress> progress) {
            return new Intake.Listener() {
                @Override
                public void report(int done, int total, String name) {
                    progress.accept(new Jobs.JobProgress(Words.of("intake.state", done + 1, total, name), (double) done / total));
                }

                @Override
                public void arrived(Source source) {
                    Arrivals.this.arrived(source);
                }
            };
        }

        private void arrived(Source source) {
            Coming come = new Coming(source.fileName(), Optional.of(source));
            List<Integer> waiting = places.getOrDefault(source.fileName(), List.of());
            if (waiting.isEmpty()) list.add(come);
            else list.set(waiting.removeFirst(), come);
            this.come.add(source);
            long now = System.nanoTime();
            if (now - kept >= KEEP_NANOS) {
                kept = now;
                keep.accept(List.copyOf(this.come));
            }
            if (now - shown < WHILE_NANOS) return;
            shown = now;
            show.accept(List.copyOf(list));
        }
    }

    /** {@return what has become of the pages of a file that was read anew, found by what they show} */
    private Repaging compared(Intake.Reread read, BooleanSupplier stop) {
        if (read.before().isRead() && read.after().isRead()) {
            Source after = read.after().under(SourceId.fresh());
            workspace.folder().know(List.of(after));
            try (PageRenderer renderer = new PageRenderer(workspace.folder(), PictureFiles.NONE)) {
                return Repaging.of(read.before(), read.after(),
                        FileComparison.compare(renderer, workspace.folder(), read.before(),
                                after, List.of(), Progress.NONE, stop).pairs());
            } catch (IOException | RuntimeException | Error lost) {
                LOG.warn("not compared: {}", read.before().fileName(), lost);
            }
        }
        return Repaging.unseen(read.before(), read.after());
    }
}
