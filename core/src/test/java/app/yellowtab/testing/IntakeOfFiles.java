package app.yellowtab.testing;

import app.yellowtab.intake.FoundFolder;
import app.yellowtab.intake.Intake;
import app.yellowtab.source.InPlace;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/**
 * Brings a folder in, as a program of its own: for tests of how much memory that takes. Says of each file its pages, or why not.
 */
public final class IntakeOfFiles {
    private IntakeOfFiles() {}

    /** @param arguments the folder */
    public static void main(String[] arguments) throws IOException {
        try (InPlace place = new InPlace()) {
            FoundFolder found = FoundFolder.of(List.of(Path.of(arguments[0])), new ArrayList<>()).folders().getFirst();
            Intake.Taken taken = new Intake(place).bringIn(found, Intake.Listener.NONE, () -> false);
            taken.sources().forEach(source -> System.out.println("SOURCE " + source.fileName() + " "
                    + (source.isRead() ? source.pageCount() : source.about().trouble().orElseThrow().code())));
        }
    }
}
