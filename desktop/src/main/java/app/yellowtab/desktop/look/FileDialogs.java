package app.yellowtab.desktop.look;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/** Asks the user for files; the system's own dialogs in the program, answers in a test. */
public interface FileDialogs {
    /** {@return the chosen files; empty if the user thinks better of it} */
    List<Path> files(String title);

    Optional<Path> folder(String title);

    /** @param suggested folder and name to begin with; the name's ending says what kind of file it is */
    Optional<Path> saveAs(String title, Path suggested);
}
