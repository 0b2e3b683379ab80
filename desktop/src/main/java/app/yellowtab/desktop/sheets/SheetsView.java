package app.yellowtab.desktop.sheets;

import app.yellowtab.cut.SheetCodes;
import app.yellowtab.deliver.SeparatorSheets;
import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.FileDialogs;
import app.yellowtab.desktop.look.Opener;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.finding.FindingException;
import app.yellowtab.model.cut.SheetCode;
import app.yellowtab.model.entry.DocumentDate;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Spinner;
import javafx.scene.control.TextArea;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Says what separator sheets are to carry, and makes them as a PDF to print. */
public final class SheetsView extends VBox {
    private static final int MOST_NAMELESS = 500;

    private final Workspace workspace;
    private final FileDialogs dialogs;
    private final Opener opener;
    private final TextArea lines = new TextArea();
    private final Spinner<Integer> nameless = new Spinner<>(0, MOST_NAMELESS, 0);
    private final Label said = Controls.paragraph("", Styles.NOTICE);
    private final Button placeholders = Controls.button("cut.sheets.placeholders", this::addPlaceholders);
    private final Button make = Controls.button("cut.sheets.make", this::make);

    public SheetsView(Workspace workspace, FileDialogs dialogs, Opener opener, Runnable back) {
        super(10);
        this.workspace = workspace;
        this.dialogs = dialogs;
        this.opener = opener;
        setId("sheets-view");
        lines.setId("sheet-lines");
        lines.setAccessibleText(Words.of("cut.sheets.lines"));
        lines.setPromptText(Words.of("cut.sheets.prompt"));
        lines.textProperty().subscribe((before, now) -> show());
        nameless.setId("sheets-nameless");
        nameless.setEditable(true);
        nameless.setPrefWidth(80);
        nameless.valueProperty().subscribe((before, now) -> show());
        VBox.setVgrow(lines, Priority.ALWAYS);
        lines.setMaxHeight(320);
        make.getStyleClass().add(Styles.MAIN_ACTION);
        HBox head = new HBox(10, Controls.label(Words.of("cut.sheets.title"), Styles.TITLE), Controls.spring(),
                Controls.button("cut.back", back));
        head.setAlignment(Pos.CENTER_LEFT);
        HBox more = new HBox(8, Controls.label(Words.of("cut.sheets.nameless"), Styles.SENTENCE), nameless, Controls.spring(),
                placeholders);
        more.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(head, Controls.paragraph(Words.of("cut.sheets.text"), Styles.SENTENCE),
                Controls.label(Words.of("cut.sheets.lines"), Styles.FORM_LABEL), lines, more, said, make);
        getStyleClass().add(Styles.CUT_WORK);
        setVisible(false);
    }

    /** Shows itself, and puts the keyboard where names are typed. */
    public void begin() {
        int there = SheetCodes.placeholders(workspace.bundle()).size();
        placeholders.setText(Words.of("cut.sheets.placeholders", there));
        Controls.show(placeholders, there > 0);
        said.setText("");
        show();
        lines.requestFocus();
    }

    private List<SheetCode> sheets() {
        boolean monthFirst = workspace.bundle().reading().monthFirst();
        List<SheetCode> sheets = new ArrayList<>(
                lines.getText().lines().filter(line -> !line.isBlank()).map(line -> SheetCodes.typed(line, monthFirst)).toList());
        sheets.addAll(Collections.nCopies(Optional.ofNullable(nameless.getValue()).orElse(0), SheetCode.NAMELESS));
        return sheets;
    }

    private void show() {
        try {
            int count = sheets().size();
            make.setText(Words.of("cut.sheets.make", count));
            make.setDisable(count == 0);
            said.setText("");
        } catch (IllegalArgumentException wrong) {
            make.setDisable(true);
            said.setText(wrong.getMessage() + ".");
        }
        Controls.show(said, !said.getText().isEmpty());
    }

    private void addPlaceholders() {
        String more = SheetCodes.placeholders(workspace.bundle()).stream()
                .map(sheet -> sheet.name()
                        + (sheet.date().isEmpty() && sheet.section().isEmpty() ? ""
                                : " | " + sheet.date().map(DocumentDate.Formats::full).orElse(""))
                        + (sheet.section().isEmpty() ? "" : " | " + sheet.section()))
                .collect(Collectors.joining("\n"));
        lines.appendText((lines.getText().isEmpty() || lines.getText().endsWith("\n") ? "" : "\n") + more + "\n");
    }

    private void make() {
        List<SheetCode> sheets = sheets();
        Path suggested = workspace.folder().path().resolve(Words.of("cut.sheets.file") + ".pdf");
        dialogs.saveAs(Words.of("cut.sheets.title"), suggested).ifPresent(file -> workspace.jobs().start((progress, stop) -> {
            SeparatorSheets.write(file, sheets);
            return file;
        }, written -> {
            said.setText(Words.of("cut.sheets.made", sheets.size(), written));
            Controls.show(said, true);
            opener.open(written);
        }, failure -> {
            said.setText(failure instanceof FindingException known ? known.getMessage() : Words.of("cut.unexpected"));
            Controls.show(said, true);
        }));
    }
}
