package app.yellowtab.desktop;

import app.yellowtab.desktop.look.FileDialogs;
import java.io.File;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.stage.DirectoryChooser;
import javafx.stage.FileChooser;
import javafx.stage.Window;

/** The operating system's own file dialogs. */
final class SystemDialogs implements FileDialogs {
    private final Window owner;

    SystemDialogs(Window owner) {
        this.owner = owner;
    }

    @Override
    public List<Path> files(String title) {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(title);
        List<File> chosen = chooser.showOpenMultipleDialog(owner);
        return chosen == null ? List.of() : chosen.stream().map(File::toPath).toList();
    }

    @Override
    public Optional<Path> folder(String title) {
        DirectoryChooser chooser = new DirectoryChooser();
        chooser.setTitle(title);
        return Optional.ofNullable(chooser.showDialog(owner)).map(File::toPath);
    }

    @Override
    public Optional<Path> saveAs(String title, Path suggested) {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(title);
        Path folder = suggested.toAbsolutePath().getParent();
        if (folder != null && Files.isDirectory(folder)) chooser.setInitialDirectory(folder.toFile());
        chooser.setInitialFileName(String.valueOf(suggested.getFileName()));
        String ending = String.valueOf(suggested.getFileName()).replaceFirst(".*\\.", "");
        chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter(ending.toUpperCase(Locale.ROOT), "*." + ending));
        return Optional.ofNullable(chooser.showSaveDialog(owner)).map(File::toPath);
    }
}
