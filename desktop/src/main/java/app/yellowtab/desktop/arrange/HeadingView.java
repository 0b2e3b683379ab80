package app.yellowtab.desktop.arrange;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.model.CaseHeading;
import app.yellowtab.model.Party;
import app.yellowtab.model.entry.DateReader;
import app.yellowtab.model.entry.DocumentDate;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;

/** The case heading at the top of the sheet; a click turns it into fields in its place. */
final class HeadingView extends StackPane {
    private final Workspace workspace;
    private final Label parties = new Label();
    private final Label title = new Label();
    private final Label court = Controls.label("", Styles.SMALL);
    private final Button shown;
    private final Map<String, TextField> fields = new LinkedHashMap<>();
    private final Label trouble = Controls.label("", Styles.WRONG);
    private final VBox form;
    private final Subscription subscription;

    HeadingView(Workspace workspace) {
        this.workspace = workspace;
        parties.getStyleClass().add(Styles.HEADING_PARTIES);
        title.getStyleClass().add(Styles.HEADING_TITLE);
        VBox lines = new VBox(2, parties, title, court);
        lines.setAlignment(Pos.CENTER);
        shown = Controls.button("heading.edit", this::begin);
        Controls.describe(shown, Words.of("heading.edit"));
        shown.setText("");
        shown.setGraphic(lines);
        shown.setMaxWidth(Double.MAX_VALUE);
        shown.getStyleClass().add(Styles.SHEET_HEADING);
        form = form();
        Controls.show(form, false);
        getChildren().addAll(shown, form);
        Controls.attachWhenShown(this, form);
        subscription = workspace.onBundle(bundle -> show(bundle.heading()));
    }

    void dispose() {
        subscription.unsubscribe();
    }

    private VBox form() {
        GridPane grid = new GridPane(8, 6);
        ColumnConstraints wide = new ColumnConstraints();
        wide.setHgrow(Priority.ALWAYS);
        grid.getColumnConstraints().addAll(new ColumnConstraints(), wide);
        int row = 0;
        for (String name : new String[] {"court", "caseNumber", "parties", "title", "hearing", "preparedBy"}) {
            TextField field = new TextField();
            field.setId("heading-" + name);
            field.setPromptText(Words.of("heading.prompt." + name));
            Label label = Controls.label(Words.of("heading." + name), Styles.SMALL);
            label.setLabelFor(field);
            label.setMinWidth(86);
            fields.put(name, field);
            grid.addRow(row++, label, field);
        }
        Button done = Controls.button("heading.done", this::commit);
        done.setDefaultButton(true);
        Button cancel = Controls.button("heading.cancel", this::end);
        cancel.setCancelButton(true);
        HBox last = new HBox(8, done, cancel, trouble);
        last.setAlignment(Pos.CENTER_LEFT);
        VBox form = new VBox(10, grid, last);
        form.getStyleClass().add(Styles.HEADING_FORM);
        return form;
    }

    private void show(CaseHeading heading) {
        parties.setText(heading.shortName());
        Controls.show(parties, !heading.shortName().isEmpty());
        title.setText(Words.of("heading.index", heading.title().isBlank() ? Words.of("heading.untitled") : heading.title()));
        String below =
                String.join("  ·  ", Stream.of(heading.court(), heading.caseNumber()).filter(part -> !part.isBlank()).toList());
        boolean nothingKnown = below.isEmpty() && heading.parties().isEmpty();
        court.setText(nothingKnown ? Words.of("heading.invitation") : below);
        Controls.show(court, !court.getText().isEmpty());
    }

    private void begin() {
        CaseHeading heading = workspace.bundle().heading();
        text("court").setText(heading.court());
        text("caseNumber").setText(heading.caseNumber());
        text("parties").setText(String.join("; ", heading.parties().stream()
                .map(party -> party.role().isBlank() ? party.name() : party.name() + " (" + party.role() + ")").toList()));
        text("title").setText(heading.title());
        text("hearing").setText(heading.hearing().map(DocumentDate.Formats::full).orElse(""));
        text("preparedBy").setText(heading.preparedBy());
        trouble.setText("");
        Controls.show(form, true);
        Controls.show(shown, false);
        text("title").requestFocus();
    }

    private void commit() {
        Optional<Optional<LocalDate>> hearing = switch (DateReader
                .read(text("hearing").getText(), workspace.bundle().reading().monthFirst()).orElse(DocumentDate.UNDATED)) {
            case DocumentDate.NotGiven none -> Optional.of(Optional.empty());
            case DocumentDate.Day day -> Optional.of(Optional.of(day.day()));
            case DocumentDate.Month m -> Optional.empty();
            case DocumentDate.Range r -> Optional.empty();
            case DocumentDate.Undated u -> Optional.empty();
        };
        if (hearing.isEmpty()) {
            trouble.setText(Words.of("heading.noDay"));
            text("hearing").requestFocus();
            return;
        }
        CaseHeading heading =
                new CaseHeading(typed("court"), typed("caseNumber"), Party.parseAll(typed("parties")), typed("title"),
                        hearing.get(), typed("preparedBy"));
        workspace.edit(bundle -> bundle.withHeading(heading));
        end();
    }

    private void end() {
        Controls.show(form, false);
        Controls.show(shown, true);
        shown.requestFocus();
    }

    private TextField text(String name) {
        TextField field = fields.get(name);
        if (field == null) throw new IllegalArgumentException(name);
        return field;
    }

    private String typed(String name) {
        return text(name).getText().strip();
    }
}
