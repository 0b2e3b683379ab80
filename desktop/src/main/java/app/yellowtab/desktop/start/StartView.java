package app.yellowtab.desktop.start;

import app.yellowtab.desktop.work.Controls;
import app.yellowtab.desktop.work.FileDialogs;
import app.yellowtab.desktop.work.Styles;
import app.yellowtab.desktop.work.Words;
import app.yellowtab.store.Recents;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.beans.binding.Bindings;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** The screen before a bundle is open: begin one, go on with one, or try the sample matter. */
public final class StartView extends StackPane {
    /** What the buttons lead to. */
    public interface Actions {
        /** Makes a new bundle in a folder that need not exist yet, and opens it. */
        void create(Path folder, String title);

        void open(Path folder);

        void openSample();
    }

    private final Actions actions;
    private final FileDialogs dialogs;
    private final VBox choices = new VBox(20);
    private final TextField title = new TextField();
    private final TextField place = new TextField(documents().toString());

    /** @param message what happened before, to be shown; empty for nothing */
    public StartView(Actions actions, List<Recents.Recent> recents, FileDialogs dialogs, String message) {
        this.actions = actions;
        this.dialogs = dialogs;
        VBox page = new VBox(20, head());
        page.setMaxSize(720, Region.USE_PREF_SIZE);
        if (!message.isEmpty()) page.getChildren().add(Controls.paragraph(message, Styles.NOTICE));
        if (!recents.isEmpty()) choices.getChildren().add(recents(recents));
        choices.getChildren().addAll(begin(), others());
        page.getChildren().add(choices);
        getStyleClass().add(Styles.DESK);
        getChildren().add(page);
    }

    private VBox head() {
        Region tab = new Region();
        tab.getStyleClass().add(Styles.EDGE_TAB);
        tab.setMinSize(34, 20);
        HBox name = new HBox(12, tab, Controls.label(Words.of("app.name"), Styles.TITLE));
        name.setAlignment(Pos.CENTER_LEFT);
        return new VBox(6, name, Controls.label(Words.of("start.purpose"), Styles.SMALL));
    }

    private VBox recents(List<Recents.Recent> recents) {
        VBox list = new VBox(2, Controls.label(Words.of("start.recent"), Styles.FORM_LABEL));
        for (Recents.Recent recent : recents.stream().limit(5).toList()) {
            Label where = Controls.label(shortened(recent.folder()), Styles.SMALL);
            Button button = new Button(recent.title());
            button.getStyleClass().add(Styles.QUIET);
            button.setOnAction(event -> actions.open(recent.folder()));
            HBox row = new HBox(8, button, where);
            row.setAlignment(Pos.CENTER_LEFT);
            list.getChildren().add(row);
        }
        list.getStyleClass().add(Styles.CARD);
        return list;
    }

    private VBox begin() {
        title.setPromptText(Words.of("start.titlePrompt"));
        title.setId("new-title");
        place.setId("new-place");
        HBox.setHgrow(place, Priority.ALWAYS);
        HBox where = new HBox(8, place, Controls.button("start.change",
                () -> dialogs.folder(Words.of("start.where")).ifPresent(folder -> place.setText(folder.toString()))));
        Button create = Controls.button("start.create", () -> folder().ifPresent(folder -> actions.create(folder, title.getText().strip())));
        create.getStyleClass().add(Styles.MAIN_ACTION);
        create.setDefaultButton(true);
        create.disableProperty().bind(Bindings.createBooleanBinding(() -> title.getText().isBlank() || folder().isEmpty(),
                title.textProperty(), place.textProperty()));
        Label result = Controls.label("", Styles.SMALL);
        result.textProperty().bind(Bindings.createStringBinding(() -> title.getText().isBlank() ? ""
                : folder().map(folder -> Words.of("start.willBe", folder)).orElse(""), title.textProperty(), place.textProperty()));
        HBox last = new HBox(12, create, result);
        last.setAlignment(Pos.CENTER_LEFT);
        VBox card = new VBox(8, Controls.label(Words.of("start.new"), Styles.FORM_LABEL),
                Controls.label(Words.of("start.title"), Styles.SMALL), title,
                Controls.label(Words.of("start.where"), Styles.SMALL), where, last);
        card.getStyleClass().add(Styles.CARD);
        return card;
    }

    private HBox others() {
        return new HBox(12, Controls.button("start.open", () -> dialogs.folder(Words.of("start.open")).ifPresent(actions::open)),
                Controls.button("start.sample", actions::openSample));
    }

    /** {@return where the new bundle would be kept; empty while what is typed is no folder's name} */
    private Optional<Path> folder() {
        String name = title.getText().strip().replaceAll("[\\p{Cntrl}/\\\\:*?\"<>|]", " ").strip();
        try {
            return place.getText().isBlank() ? Optional.empty() : Optional.of(Path.of(place.getText().strip()).resolve(name.isEmpty() ? "Bundle" : name));
        } catch (InvalidPathException noName) {
            return Optional.empty();
        }
    }

    private static String shortened(Path folder) {
        Path home = Path.of(System.getProperty("user.home"));
        return folder.startsWith(home) ? "~/" + home.relativize(folder) : folder.toString();
    }

    private static Path documents() {
        Path home = Path.of(System.getProperty("user.home"));
        Path documents = home.resolve("Documents");
        return Files.isDirectory(documents) ? documents : home;
    }
}
