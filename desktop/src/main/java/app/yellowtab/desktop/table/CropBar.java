package app.yellowtab.desktop.table;

import app.yellowtab.desktop.work.Controls;
import app.yellowtab.desktop.work.Styles;
import app.yellowtab.desktop.work.Words;
import app.yellowtab.edit.page.Margins;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** A sentence with gaps for what is cut off at each edge of the pages that are chosen. */
final class CropBar extends VBox {
    private static final List<String> EDGES = List.of("left", "top", "right", "bottom");
    private static final int LENGTH_COLUMNS = 4;

    private final PagesDesk desk;
    private final List<TextField> lengths = new ArrayList<>();
    private final Label said = Controls.label("", Styles.SMALL);

    CropBar(PagesDesk desk) {
        super(4);
        this.desk = desk;
        setId("crop-bar");
        FlowPane sentence = new FlowPane(8, 6);
        sentence.setAlignment(Pos.CENTER_LEFT);
        sentence.getChildren().add(new Label(Words.of("crop.hide")));
        for (String edge : EDGES) sentence.getChildren().add(gap(edge));
        Button crop = Controls.button("crop.crop", this::crop);
        Button off = Controls.button("crop.off", () -> {
            desk.cropOff();
            said.setText("");
        });
        Button close = Controls.button("crop.close", () -> Controls.show(this, false));
        sentence.getChildren().addAll(crop, off, close);
        said.setId("crop-said");
        getChildren().addAll(sentence, said);
        Controls.show(this, false);
    }

    private Node gap(String edge) {
        TextField length = new TextField();
        length.setId("crop-" + edge);
        length.setPrefColumnCount(LENGTH_COLUMNS);
        length.setPromptText(Words.of("crop.nothing"));
        length.setAccessibleText(Words.of("crop.edge." + edge));
        length.setOnAction(event -> crop());
        length.setOnKeyPressed(event -> {
            if (event.getCode() != KeyCode.ESCAPE) return;
            Controls.show(this, false);
            event.consume();
        });
        lengths.add(length);
        HBox gap = new HBox(4, new Label(Words.of("crop.edge." + edge)), length);
        gap.setAlignment(Pos.CENTER_LEFT);
        return gap;
    }

    /** Shows it, with the keyboard in its first gap, or takes it away. */
    void toggle() {
        boolean shows = !isVisible();
        Controls.show(this, shows);
        said.setText(Words.of("crop.hidden"));
        if (shows) lengths.getFirst().requestFocus();
    }

    private void crop() {
        List<Double> typed = new ArrayList<>();
        for (TextField length : lengths) {
            Optional<Double> read = Margins.read(length.getText());
            if (read.isEmpty()) {
                said.setText(Words.of("crop.noLength", length.getText().strip()));
                length.requestFocus();
                return;
            }
            typed.add(read.get());
        }
        if (desk.shownProperty().get().chosen().isEmpty()) {
            said.setText(Words.of("crop.none"));
            return;
        }
        desk.crop(new Margins(typed.get(0), typed.get(1), typed.get(2), typed.get(3)), left -> said.setText(left == 0 ? Words.of("crop.hidden") : Words.of("crop.left", left)));
    }
}
