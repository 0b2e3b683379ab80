package app.yellowtab.desktop;

import app.yellowtab.desktop.look.FileDialogs;
import app.yellowtab.desktop.work.Jobs;
import app.yellowtab.desktop.work.Session;
import app.yellowtab.files.UserFolder;
import app.yellowtab.keep.Recents;
import app.yellowtab.pdf.Typeface;
import app.yellowtab.picture.PictureFiles;
import app.yellowtab.recognise.Languages;
import app.yellowtab.recognise.ProcessRecogniser;
import atlantafx.base.theme.PrimerLight;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.text.Font;
import javafx.stage.Stage;
import org.jspecify.annotations.Nullable;
import org.slf4j.LoggerFactory;

/** The program with a window. */
public final class YellowTab extends Application {
    /** JavaFX makes the program itself and can be given nothing but words for it. */
    private static @Nullable FirstBundle first;

    private final ExecutorService background =
            Executors.newThreadPerTaskExecutor(Thread.ofPlatform().daemon().name("job-", 1).factory());

    /** Takes the bundle to begin with. */
    static void begin(FirstBundle bundle) {
        first = bundle;
    }

    @Override
    public void start(Stage window) throws IOException {
        Path user = UserFolder.path();
        Files.createDirectories(user);
        dress();
        Thread.currentThread()
                .setUncaughtExceptionHandler((thread, e) -> LoggerFactory.getLogger(YellowTab.class).error("unexpected", e));
        FileDialogs dialogs = new SystemDialogs(window);
        Jobs jobs = new Jobs(background, Platform::runLater);
        PictureFiles pictures = new PictureFiles(UserFolder.cache().resolve("pictures"), PictureFiles.MOST_BYTES);
        Desk desk = new Desk(window, new Recents(user), user, pictures, jobs,
                new Session.Around(dialogs, path -> getHostServices().showDocument(path.toUri().toString()),
                        languages -> new ProcessRecogniser(Languages.ofUser(), languages)));
        jobs.beside(pictures::sweep);
        // Measuring our letters takes a while the first time, and every bundle that is opened waits for it.
        jobs.beside(() -> {
            for (Typeface face : Typeface.values()) face.width("0", 1);
        });
        if (first != null) desk.begin(first);
        window.show();
    }

    /** Loads fonts and the base style sheet; both serve every window. */
    static void dress() throws IOException {
        for (Typeface face : Typeface.values()) {
            try (InputStream in = face.open()) {
                Font.loadFont(in, 13);
            }
        }
        Application.setUserAgentStylesheet(new PrimerLight().getUserAgentStylesheet());
    }

    @Override
    public void stop() {
        background.shutdown();
    }
}
