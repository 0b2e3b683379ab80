package app.yellowtab.desktop;

import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.work.Jobs;
import app.yellowtab.desktop.work.Stage;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.files.Folders;
import app.yellowtab.files.WorkFolder;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.FindingException;
import app.yellowtab.intake.FoundFolder;
import app.yellowtab.intake.Intake;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.source.Source;
import app.yellowtab.sample.SampleMatter;
import app.yellowtab.store.BundleFolder;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** Makes the sample matter, folder by folder, while its bundle is open already. */
final class SampleMaking {
    /** Lies beside the bundle until it is whole, so that one whose making was broken off is made to its end. */
    private final Path unfinished;
    private final Path folder;
    private boolean isWhole;

    SampleMaking(Path folder) {
        this.folder = folder;
        this.unfinished = folder.resolveSibling(folder.getFileName() + ".unfinished");
    }

    /** {@return that of a user, who keeps it among what the program remembers} */
    static SampleMaking under(Path user) {
        return new SampleMaking(user.resolve("sample-matter"));
    }

    Path folder() {
        return folder;
    }

    /** Opens it, as far as it is there; for a thread that may wait for files. */
    BundleFolder.Opened open() throws IOException {
        isWhole = !Files.exists(unfinished);
        if (Files.exists(folder.resolve(BundleFolder.FILE))) return BundleFolder.open(folder);
        isWhole = false;
        Folders.delete(folder);
        Files.createDirectories(folder);
        Files.write(unfinished, new byte[0]);
        return new BundleFolder.Opened(BundleFolder.create(folder, SampleMatter.begun()), SampleMatter.begun());
    }

    /** Makes what is missing, in the background; what one has done with the rest meanwhile stays. */
    void goOn(Workspace workspace) {
        if (isWhole) return;
        workspace.stageProperty().set(Stage.ARRANGE);
        workspace.jobs().start((progress, stop) -> {
            Path files = WorkFolder.newFolder("sample");
            List<String> names = SampleMatter.folders();
            for (int i = 0; i < names.size() && !stop.getAsBoolean(); i++) {
                progress.accept(new Jobs.JobProgress(Words.of("sample.making", i + 1, names.size()), (double) i / names.size()));
                bringIn(files, names.get(i), workspace);
            }
            Folders.delete(files);
            if (!stop.getAsBoolean()) Files.deleteIfExists(unfinished);
            return names;
        }, names -> workspace.jobs().quietly(() -> writeIndexBack(workspace.bundle()), done -> {}),
                failure -> workspace.findings()
                        .add(Finding.about(Finding.Code.FAILED, Words.of("start.sample"), failure.getClass().getSimpleName())));
    }

    private static void bringIn(Path files, String name, Workspace workspace) throws IOException {
        SampleMatter.writeFolder(files, name);
        FoundFolder all = FoundFolder.of(List.of(files), new ArrayList<>()).folders().getFirst();
        FoundFolder one = name.isEmpty() ? new FoundFolder("", all.files(), List.of())
                : new FoundFolder("", List.of(), all.folders().stream().filter(inner -> inner.name().equals(name)).toList());
        if (isThere(one, workspace.bundle())) return;
        Intake.Taken taken = Intake.besideWindow(workspace.folder(), List.of(), workspace.bundle().reading()).bringIn(one,
                Intake.Listener.NONE, () -> false);
        workspace.jobs().later(() -> {
            workspace.folder().know(taken.sources());
            workspace.edit(SampleMatter.adding(taken));
        });
    }

    /** The index as the other side has sent it back lies beside the matter, to be read in. */
    private Path writeIndexBack(Bundle bundle) {
        try {
            return SampleMatter.writeIndexBack(bundle, folder);
        } catch (FindingException e) {
            throw new IllegalStateException(e);
        }
    }

    private static boolean isThere(FoundFolder folder, Bundle bundle) {
        Set<String> known = bundle.sources().stream().map(Source::fileName).collect(Collectors.toSet());
        return folder.files().stream().allMatch(file -> known.contains(String.valueOf(file.getFileName())))
                && folder.folders().stream().allMatch(inner -> isThere(inner, bundle));
    }
}
