package app.yellowtab.desktop;

import app.yellowtab.desktop.work.Jobs;
import app.yellowtab.desktop.work.Stage;
import app.yellowtab.desktop.work.Words;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.files.Folders;
import app.yellowtab.files.WorkFolder;
import app.yellowtab.finding.Finding;
import app.yellowtab.sample.SampleMatter;
import app.yellowtab.source.FoundFolder;
import app.yellowtab.source.Intake;
import app.yellowtab.store.BundleFolder;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** Makes the sample matter, folder by folder, while its bundle is open already. */
final class SampleMaking {
    /** Lies beside the bundle until it is whole, so that one whose making was broken off is made anew. */
    private final Path unfinished;
    private final Path folder;
    private boolean isWhole;

    SampleMaking(Path folder) {
        this.folder = folder;
        this.unfinished = folder.resolveSibling(folder.getFileName() + ".unfinished");
    }

    /** Opens it, as far as it is there; for a thread that may wait for files. */
    BundleFolder.Opened open() throws IOException {
        if (Files.exists(unfinished)) Folders.delete(folder);
        isWhole = Files.exists(folder.resolve(BundleFolder.FILE));
        if (isWhole) return BundleFolder.open(folder);
        Files.createDirectories(folder);
        Files.write(unfinished, new byte[0]);
        return new BundleFolder.Opened(BundleFolder.create(folder, SampleMatter.begun()), SampleMatter.begun());
    }

    /** Makes what is missing, in the background. */
    void goOn(Workspace workspace) {
        if (isWhole) return;
        workspace.stageProperty().set(Stage.ARRANGE);
        workspace.jobs().start((progress, stop) -> {
            Path files = WorkFolder.newFolder("sample");
            List<String> names = SampleMatter.folders();
            for (int i = 0; i < names.size() && !stop.getAsBoolean(); i++) {
                progress.accept(new Jobs.State(Words.of("sample.making", i + 1, names.size()), (double) i / names.size()));
                bringIn(files, names.get(i), workspace);
            }
            Folders.delete(files);
            if (!stop.getAsBoolean()) Files.deleteIfExists(unfinished);
            return names;
        }, names -> { }, failure -> workspace.findings().add(Finding.about(Finding.Code.FAILED, Words.of("start.sample"), failure.getClass().getSimpleName())));
    }

    private static void bringIn(Path files, String name, Workspace workspace) throws IOException {
        SampleMatter.writeFolder(files, name);
        FoundFolder all = FoundFolder.of(List.of(files), new ArrayList<>()).folders().getFirst();
        FoundFolder one = name.isEmpty() ? new FoundFolder("", all.files(), List.of())
                : new FoundFolder("", List.of(), all.folders().stream().filter(inner -> inner.name().equals(name)).toList());
        Intake.Taken taken = Intake.besideWindow(workspace.folder(), List.of(), workspace.bundle().reading()).bringIn(one, Intake.Progress.NONE, () -> false);
        workspace.jobs().later(() -> {
            workspace.folder().know(taken.sources());
            workspace.edit(SampleMatter.adding(taken));
        });
    }
}
