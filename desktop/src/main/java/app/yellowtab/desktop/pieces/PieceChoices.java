package app.yellowtab.desktop.pieces;

import app.yellowtab.cut.PieceNames.Named;
import app.yellowtab.cut.PieceWords;
import app.yellowtab.deliver.Wanted;
import app.yellowtab.desktop.batch.CutDesk.Shown;
import app.yellowtab.desktop.batch.Making;
import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.FileDialogs;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.cut.CutEdits;
import app.yellowtab.edit.cut.PiecePlace;
import app.yellowtab.model.contents.Contents;
import app.yellowtab.model.contents.Section;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;
import org.jspecify.annotations.Nullable;

/** What becomes of the pieces: documents, files, drafted e-mails, one or several of these. */
final class PieceChoices extends VBox {
    private final Workspace workspace;
    private final CheckBox documents = new CheckBox(Words.of("cut.documents"));
    private final ChoiceBox<Where> where = new ChoiceBox<>();
    private final TextField title = field("cut-new-section", "cut.where.title", "");
    private final CheckBox replaced = new CheckBox();
    private final CheckBox files = new CheckBox(Words.of("cut.files"));
    private final CheckBox mails = new CheckBox(Words.of("cut.mails"));
    private final ChoiceBox<String> mailKind = new ChoiceBox<>();
    private final TextField folder = field("cut-folder", "cut.folder", "");
    private final TextField bundle = field("cut-new-bundle", "cut.where.bundle", "");
    private final TextField to = field("cut-mail-to", "cut.mail.to", "");
    private final TextField subject = field("cut-mail-subject", "cut.mail.subject", Wanted.Mails.usual(true).subject());
    private final TextField text = field("cut-mail-text", "cut.mail.text", Wanted.Mails.usual(true).text());

    private final Label sample = Controls.paragraph("", Styles.SMALL);
    private List<Shown> batches = List.of();

    /** Where documents are put, as the list offers it. */
    private sealed interface Where {
        record Tray() implements Where {}

        record InSection(Section section) implements Where {}

        record NewSection() implements Where {}

        record BySheets() implements Where {}

        record NewBundle() implements Where {}
    }

    /** @param changed is run when something else is chosen */
    PieceChoices(Workspace workspace, FileDialogs dialogs, Runnable changed) {
        super(7);
        this.workspace = workspace;
        documents.setId("cut-documents");
        documents.setSelected(true);
        files.setId("cut-files");
        mails.setId("cut-mails");
        replaced.setId("cut-replaced");
        replaced.setSelected(true);
        where.setId("cut-where");
        where.setConverter(new Wording());
        where.setPrefWidth(220);
        title.setPrefColumnCount(14);
        mailKind.setId("cut-mail-kind");
        mailKind.getItems().addAll(Words.of("cut.mail.each"), Words.of("cut.mail.one"));
        mailKind.getSelectionModel().selectFirst();
        folder.setText(workspace.folder().path().resolve(Words.of("cut.folder.usual")).toString());
        HBox.setHgrow(folder, Priority.ALWAYS);
        HBox.setHgrow(subject, Priority.ALWAYS);
        HBox.setHgrow(text, Priority.ALWAYS);
        to.setPrefColumnCount(12);
        HBox.setHgrow(bundle, Priority.ALWAYS);
        HBox newBundle = row(Controls.label(Words.of("cut.newBundle"), Styles.SMALL), bundle, Controls.button("cut.folder.choose",
                () -> dialogs.folder(Words.of("cut.newBundle")).ifPresent(chosen -> bundle.setText(chosen.toString()))));
        HBox place = row(Controls.label(Words.of("cut.folder"), Styles.SMALL), folder, Controls.button("cut.folder.choose",
                () -> dialogs.folder(Words.of("cut.folder")).ifPresent(chosen -> folder.setText(chosen.toString()))));
        sample.setId("cut-mail-sample");
        VBox words = new VBox(5,
                row(Controls.label(Words.of("cut.mail.to"), Styles.SMALL), to,
                        Controls.label(Words.of("cut.mail.subject"), Styles.SMALL), subject, parts(subject)),
                row(Controls.label(Words.of("cut.mail.text"), Styles.SMALL), text, parts(text)), sample);
        getChildren().addAll(Controls.label(Words.of("cut.outcome"), Styles.FORM_LABEL), row(documents, where, title, replaced),
                newBundle, row(files, mails, mailKind), place, words);
        Runnable show = () -> {
            Controls.show(title, documents.isSelected() && where.getValue() instanceof Where.NewSection);
            Controls.show(newBundle, documents.isSelected() && where.getValue() instanceof Where.NewBundle);
            where.setDisable(!documents.isSelected());
            mailKind.setDisable(!mails.isSelected());
            Controls.show(place, files.isSelected() || mails.isSelected());
            Controls.show(words, mails.isSelected());
        };
        show.run();
        for (CheckBox box : List.of(documents, files, mails)) box.selectedProperty().subscribe((before, now) -> {
            show.run();
            changed.run();
        });
        where.valueProperty().subscribe((before, now) -> {
            show.run();
            changed.run();
        });
        for (TextField field : List.of(subject, text)) field.textProperty().subscribe(typed -> showSample());
        mailKind.valueProperty().subscribe(kind -> showSample());
        for (TextField field : List.of(folder, to, title, bundle)) field.textProperty().subscribe((before, now) -> changed.run());
    }

    private static TextField field(String id, String key, String usual) {
        TextField field = new TextField(usual);
        field.setId(id);
        field.setAccessibleText(Words.of(key));
        return field;
    }

    /** {@return what puts parts of names into a field, at its caret} */
    private static MenuButton parts(TextField field) {
        MenuButton add = new MenuButton(Words.of("cut.name.add"));
        add.setMinWidth(USE_PREF_SIZE);
        add.setId(field.getId() + "-add");
        for (String part : List.of("name", "date", "pages", "bookmark", "after:No.", "file", "number:3")) {
            MenuItem item = new MenuItem(Words.of("cut.mail.part." + part.replaceAll(":.*", "")));
            item.setOnAction(event -> {
                field.insertText(Math.min(field.getCaretPosition(), field.getLength()), "[" + part + "]");
                field.requestFocus();
                field.deselect();
            });
            add.getItems().add(item);
        }
        return add;
    }

    /** Says how the first e-mail will read. */
    private void showSample() {
        List<String> read = batches.stream().filter(shown -> !shown.names().isEmpty()).limit(1).map(shown -> {
            PieceWords words = new PieceWords(shown.pages(), shown.cutting(), shown.names(), shown.source().fileName());
            UnaryOperator<String> filled =
                    mailKind.getSelectionModel().getSelectedIndex() == 0 ? typed -> words.ofPiece(typed, 0) : words::ofAll;
            return Words.of("cut.mail.sample", filled.apply(subject.getText()), filled.apply(text.getText()));
        }).toList();
        sample.setText(String.join("", read));
    }

    private static HBox row(Node... nodes) {
        HBox row = new HBox(8, nodes);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    /** Shows what there is to choose for batches. */
    void show(List<Shown> batches) {
        this.batches = batches;
        showSample();
        Where before = where.getValue();
        boolean sheets = batches.stream().flatMap(shown -> shown.names().stream()).anyMatch(named -> !named.section().isEmpty());
        List<Where> places = new ArrayList<>(List.of(new Where.Tray()));
        if (sheets) places.addFirst(new Where.BySheets());
        addSections(workspace.bundle().contents(), places);
        places.add(new Where.NewSection());
        places.add(new Where.NewBundle());
        boolean begun =
                before == null || before instanceof Where.Tray && sheets && !where.getItems().contains(new Where.BySheets());
        where.getItems().setAll(places);
        where.setValue(begun ? places.getFirst()
                : places.stream().filter(place -> isSame(place, before)).findFirst().orElse(places.getFirst()));
        if (title.getText().isEmpty() && !batches.isEmpty()) title.setText(stem(batches.getFirst().source().fileName()));
        int unchanged = batches.stream().mapToInt(shown -> CutEdits.unchanged(workspace.bundle(), shown.batch()).size()).sum();
        replaced.setText(Words.of("cut.replaced", unchanged));
        Controls.show(replaced, unchanged > 0 && !(where.getValue() instanceof Where.NewBundle));
    }

    /** Sub-sections stand behind the section that they are in. */
    private static void addSections(Contents contents, List<Where> places) {
        for (Section section : contents.sections()) {
            places.add(new Where.InSection(section));
            addSections(section.contents(), places);
        }
    }

    private static boolean isSame(Where place, Where before) {
        return place instanceof Where.InSection now && before instanceof Where.InSection then
                ? now.section().id().equals(then.section().id()) : place.equals(before);
    }

    private static String stem(String fileName) {
        int dot = fileName.lastIndexOf('.');
        return dot > 0 ? fileName.substring(0, dot) : fileName;
    }

    /** {@return why it cannot begin as it is filled in; empty where it can} */
    String lacking() {
        if (!documents.isSelected() && !files.isSelected() && !mails.isSelected()) return Words.of("cut.lacking.nothing");
        if (documents.isSelected() && where.getValue() instanceof Where.NewSection && title.getText().isBlank())
            return Words.of("cut.lacking.title");
        if (documents.isSelected() && where.getValue() instanceof Where.NewBundle && path(bundle).isEmpty())
            return Words.of("cut.lacking.bundle");
        if ((files.isSelected() || mails.isSelected()) && path(folder).isEmpty()) return Words.of("cut.lacking.folder");
        try {
            if (mails.isSelected()) mails();
        } catch (IllegalArgumentException wrong) {
            return wrong.getMessage() + ".";
        }
        return "";
    }

    private static Optional<Path> path(TextField field) {
        try {
            return field.getText().isBlank() ? Optional.empty() : Optional.of(Path.of(field.getText().strip()));
        } catch (InvalidPathException e) {
            return Optional.empty();
        }
    }

    private Wanted.Mails mails() {
        return new Wanted.Mails(mailKind.getSelectionModel().getSelectedIndex() == 0, to.getText().strip(), subject.getText(),
                text.getText());
    }

    /** {@return what was chosen} */
    Making.Choice choice() {
        Where chosen = where.getValue();
        Optional<Function<Shown, PiecePlace>> place = documents.isSelected() ? Optional.of(shown -> switch (chosen) {
            case Where.Tray tray -> new PiecePlace.Tray();
            case Where.InSection in -> new PiecePlace.InSection(in.section().id());
            case Where.NewSection fresh -> new PiecePlace.Titled(title.getText());
            case Where.BySheets sheets -> new PiecePlace.BySheets(shown.names().stream().map(Named::section).toList());
            case Where.NewBundle fresh -> new PiecePlace.BySheets(shown.names().stream().map(Named::section).toList());
        }) : Optional.empty();
        String words = chosen instanceof Where.NewSection ? Words.of("cut.where.section", title.getText().strip())
                : where.getConverter().toString(chosen);
        Function<Shown, List<String>> said = shown -> chosen instanceof Where.BySheets
                ? shown.names().stream()
                        .map(named -> named.section().isEmpty() ? Words.of("cut.where.tray")
                                : Words.of("cut.where.section", named.section()))
                        .toList()
                : Collections.nCopies(shown.names().size(), words);
        boolean writes = files.isSelected() || mails.isSelected();
        return new Making.Choice(place, said, replaced.isSelected(),
                chosen instanceof Where.NewBundle ? path(bundle) : Optional.empty(), writes ? path(folder) : Optional.empty(),
                new Wanted(files.isSelected(), mails.isSelected() ? Optional.of(mails()) : Optional.empty()));
    }

    private static final class Wording extends StringConverter<Where> {
        @Override
        public String toString(@Nullable Where place) {
            return switch (place) {
                case null -> "";
                case Where.Tray tray -> Words.of("cut.where.tray");
                case Where.InSection in -> Words.of("cut.where.section", in.section().title());
                case Where.NewSection fresh -> Words.of("cut.where.new");
                case Where.BySheets sheets -> Words.of("cut.where.sheets");
                case Where.NewBundle fresh -> Words.of("cut.where.bundle");
            };
        }

        @Override
        public @Nullable Where fromString(String text) {
            return null;
        }
    }
}
