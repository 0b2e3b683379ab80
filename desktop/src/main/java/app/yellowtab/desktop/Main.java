package app.yellowtab.desktop;

import app.yellowtab.convert.OfficeSuites;
import app.yellowtab.files.UserFolder;
import app.yellowtab.files.WorkFolder;
import java.io.IOException;
import java.nio.file.Path;
import javafx.application.Application;

/** Starts the window. */
public final class Main {
    private Main() {}

    /** @param arguments nothing, {@code demo}, or {@code open FOLDER} */
    public static void main(String[] arguments) {
        Path user = UserFolder.path();
        System.setProperty("yellowtab.log", user.resolve("yellowtab.log").toString());
        System.setProperty("pdfbox.fontcache", user.toString());
        try {
            WorkFolder.begin();
        } catch (IOException e) {
            System.err.println(
                    "There is no folder for work that is not finished: " + e.getMessage() + ". The system's own is used.");
        }
        OfficeSuites.use();
        YellowTab.begin(FirstBundle.of(user, arguments));
        Application.launch(YellowTab.class, arguments);
    }
}
