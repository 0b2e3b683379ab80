package app.yellowtab.testing;

import app.yellowtab.intake.FoundFolder;
import app.yellowtab.intake.Intake;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Reading;
import app.yellowtab.source.InPlace;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** Brings a test's files in, in place. */
public final class Folder {
    private Folder() {}

    /** {@return a bundle of all that is in a folder, its sources known to the place} */
    public static Bundle bundle(InPlace place, Path folder) {
        FoundFolder found = FoundFolder.of(List.of(folder), new ArrayList<>()).folders().getFirst();
        Intake.Taken taken =
                new Intake(place, place.passwords(), Reading.STANDARD).bringIn(found, Intake.Listener.NONE, () -> false);
        place.know(taken.sources());
        return Bundle.EMPTY.withSources(taken.sources()).withContents(taken.contents());
    }
}
