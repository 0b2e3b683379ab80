package app.yellowtab.desktop.look;

import java.nio.file.Path;

/** Shows a file or folder in the program that the system has for it. */
@FunctionalInterface
public interface Opener {
    void open(Path path);
}
