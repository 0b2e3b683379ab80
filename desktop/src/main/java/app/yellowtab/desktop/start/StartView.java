package app.yellowtab.desktop.start;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.FileDialogs;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.edit.Template;
import app.yellowtab.files.FileNames;
import app.yellowtab.keep.Recents;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.beans.binding.Bindings;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
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
        void create(Path folder, String title, Optional<Template> template);

        void open(Path folder);

        void openSample();

        /** Shows loose files, to be numbered. */
        void openLoose();

        /** Keeps a template that was given away as a file. */
        void bringTemplateIn(Path file);
    }

    /** What stands on the shelf, and what a new bundle can begin from. */
    public record Shelf(List<Recents.Recent> recents, List<Template> templates) {
        public Shelf {
            recents = List.copyOf(recents);
            templates = List.copyOf(templates);
        }
    }

    /** More spines than this do not stand side by side. */
    private static final int MOST = 7;

    private final Actions actions;
    private final FileDialogs dialogs;
    private final TextField title = new TextField();
    private final TextField place = new TextField(documents().toString());
    private final ChoiceBox<Kind> kind = new ChoiceBox<>();
    private final HBox spines = new HBox(6);
    private final VBox form;

    /** @param message what happened before, to be shown; empty for nothing */
    public StartView(Actions actions, Shelf shelf, FileDialogs dialogs, String message) {
        this.actions = actions;
        this.dialogs = dialogs;
        this.form = form(shelf.templates());
        VBox page = new VBox(18, head());
        page.setMaxSize(760, Region.USE_PREF_SIZE);
        if (!message.isEmpty()) page.getChildren().add(Controls.paragraph(message, Styles.NOTICE));
        for (Recents.Recent recent : shelf.recents().stream().limit(MOST).toList())
            spines.getChildren().add(Spine.of(recent, () -> actions.open(recent.folder())));
        spines.getChildren().add(Spine.empty(this::askForTitle));
        spines.setAlignment(Pos.BOTTOM_LEFT);
        spines.getStyleClass().add(Styles.SHELF);
        Controls.show(form, shelf.recents().isEmpty());
        page.getChildren().addAll(spines, form, others());
        getStyleClass().add(Styles.DESK);
        // In a low window it is scrolled; in any other it stands in the middle.
        ScrollPane scroll = new ScrollPane(new StackPane(page));
        scroll.setFitToWidth(true);
        scroll.setFitToHeight(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.getStyleClass().add(Styles.DESK);
        getChildren().add(scroll);
    }

    /** Puts the keyboard where work begins: on the bundle that was open last, or where the title of the first one is typed. */
    public void begin() {
        // What lies in a scrolled pane is in the window only when the pane has its skin.
        applyCss();
        layout();
        if (form.isVisible()) title.requestFocus();
        else spines.getChildren().getFirst().requestFocus();
    }

    private void askForTitle() {
        Controls.show(form, true);
        title.requestFocus();
    }

    /** What a new bundle begins from, as the list offers it. */
    private record Kind(Optional<Template> template) {
        @Override
        public String toString() {
            return template.map(Template::called).orElse(Words.of("start.bare"));
        }
    }

    private VBox head() {
        Region tab = new Region();
        tab.getStyleClass().add(Styles.EDGE_TAB);
        tab.setMinSize(34, 20);
        HBox name = new HBox(12, tab, Controls.label(Words.of("app.name"), Styles.TITLE));
        name.setAlignment(Pos.CENTER_LEFT);
        return new VBox(6, name, Controls.label(Words.of("start.purpose"), Styles.SMALL));
    }

    private VBox form(List<Template> templates) {
        title.setPromptText(Words.of("start.titlePrompt"));
        title.setId("new-title");
        place.setId("new-place");
        kind.setId("new-kind");
        kind.getItems().add(new Kind(Optional.empty()));
        for (Template template : templates) kind.getItems().add(new Kind(Optional.of(template)));
        kind.setValue(kind.getItems().getFirst());
        kind.setAccessibleText(Words.of("start.kind"));
        Label about = Controls.label("", Styles.SMALL);
        about.textProperty().bind(kind.valueProperty().map(chosen -> chosen.template().map(Template::about).orElse("")));
        HBox begins = new HBox(8, kind, about, Controls.spring(), Controls.button("start.bringTemplateIn",
                () -> dialogs.files(Words.of("start.bringTemplateIn")).stream().findFirst().ifPresent(actions::bringTemplateIn)));
        begins.setAlignment(Pos.CENTER_LEFT);
        HBox.setHgrow(place, Priority.ALWAYS);
        HBox where = new HBox(8, place, Controls.button("start.change",
                () -> dialogs.folder(Words.of("start.where")).ifPresent(folder -> place.setText(folder.toString()))));
        Button create = Controls.button("start.create",
                () -> folder().ifPresent(folder -> actions.create(folder, title.getText().strip(), kind.getValue().template())));
        create.getStyleClass().add(Styles.MAIN_ACTION);
        create.setDefaultButton(true);
        create.disableProperty().bind(Bindings.createBooleanBinding(() -> title.getText().isBlank() || folder().isEmpty(),
                title.textProperty(), place.textProperty()));
        Label result = Controls.label("", Styles.SMALL);
        result.textProperty().bind(Bindings.createStringBinding(() -> title.getText().isBlank() ? ""
                : folder().map(folder -> Words.of("start.willBe", folder)).orElse(""), title.textProperty(),
                place.textProperty()));
        HBox last = new HBox(12, create, result);
        last.setAlignment(Pos.CENTER_LEFT);
        VBox card = new VBox(8, Controls.label(Words.of("start.new"), Styles.FORM_LABEL),
                Controls.label(Words.of("start.title"), Styles.SMALL), title,
                Controls.label(Words.of("start.kind"), Styles.SMALL), begins,
                Controls.label(Words.of("start.where"), Styles.SMALL), where, last);
        card.getStyleClass().add(Styles.CARD);
        return card;
    }

    private HBox others() {
        return new HBox(12, Controls.button("start.open", () -> dialogs.folder(Words.of("start.open")).ifPresent(actions::open)),
                Controls.button("start.sample", actions::openSample), Controls.button("start.loose", actions::openLoose));
    }

    /** {@return where the new bundle would be kept; empty while what is typed is no folder's name} */
    private Optional<Path> folder() {
        String name = title.getText().isBlank() ? "" : FileNames.safe(title.getText());
        try {
            return place.getText().isBlank() ? Optional.empty()
                    : Optional.of(Path.of(place.getText().strip()).resolve(name.isEmpty() ? "Bundle" : name));
        } catch (InvalidPathException noName) {
            return Optional.empty();
        }
    }

    private static Path documents() {
        Path home = Path.of(System.getProperty("user.home"));
        Path documents = home.resolve("Documents");
        return Files.isDirectory(documents) ? documents : home;
    }
}
