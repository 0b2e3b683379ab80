package app.yellowtab.desktop.number;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.InWords;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.mark.NumberState;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.mark.Ground;
import app.yellowtab.mark.Ink;
import app.yellowtab.mark.MarkLook;
import app.yellowtab.pdf.Face;
import app.yellowtab.pdf.SystemFace;
import app.yellowtab.pdf.SystemFaces;
import app.yellowtab.pdf.Typeface;
import java.util.ArrayList;
import java.util.List;
import java.util.function.IntConsumer;
import javafx.geometry.Pos;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.ColorPicker;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.Spinner;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;

/** How marks look: typeface, size, colour, what they stand on, how much shows through, how they are turned. */
final class LookPanel extends GridPane {
    private static final int LEAST_PT = 4;
    private static final int MOST_PT = 144;
    private static final int LEAST_OPACITY = 5;
    private static final int OPACITY_STEP = 5;
    private static final int TURN_STEP = 15;
    private static final int MOST_DEGREES = 180;

    private final ComboBox<Face> face = new ComboBox<>();
    private final Spinner<Integer> size = new Spinner<>(LEAST_PT, MOST_PT, 14);
    private final ColorPicker colour = new ColorPicker();
    private final ChoiceBox<Ground> ground = new ChoiceBox<>();
    private final Spinner<Integer> opacity = new Spinner<>(LEAST_OPACITY, 100, 100, OPACITY_STEP);
    private final Spinner<Integer> turn = new Spinner<>(-MOST_DEGREES, MOST_DEGREES, 0, TURN_STEP);
    private final Label notice = Controls.paragraph("", Styles.NOTICE);
    private boolean searched;
    private boolean showing;

    LookPanel(NumberDesk desk, Workspace workspace) {
        setHgap(10);
        setVgap(8);
        face.setId("number-face");
        face.getItems().setAll(Typeface.values());
        face.setConverter(new InWords<>(LookPanel::name));
        face.setMaxWidth(Double.MAX_VALUE);
        face.setOnShowing(event -> findOthers(workspace));
        face.setOnAction(event -> {
            if (!showing && face.getValue() != null) desk.look(look -> look.withFace(face.getValue()));
        });
        spinner(size, "number-size", value -> desk.look(look -> look.withSize(value)));
        colour.setId("number-colour");
        colour.setAccessibleText(Words.of("number.colour"));
        colour.setOnAction(event -> {
            if (!showing) desk.look(look -> look.withInk(ink(colour.getValue())));
        });
        ground.setId("number-ground");
        ground.getItems().setAll(Ground.values());
        ground.setConverter(new InWords<>(each -> Words.of("number.ground." + each.name())));
        ground.setOnAction(event -> {
            if (!showing && ground.getValue() != null) desk.look(look -> look.withGround(ground.getValue()));
        });
        spinner(opacity, "number-opacity", value -> desk.look(look -> look.withOpacity(value / 100.0)));
        spinner(turn, "number-turn", value -> desk.look(look -> look.withTurn(value)));
        int row = 0;
        addRow(row++, new Label(Words.of("number.face")), face);
        addRow(row++, new Label(Words.of("number.size")), with(size, "number.points"));
        addRow(row++, new Label(Words.of("number.ink")), colour);
        addRow(row++, new Label(Words.of("number.ground")), ground);
        addRow(row++, new Label(Words.of("number.opacity")), with(opacity, "number.percent"));
        addRow(row++, new Label(Words.of("number.turn")), with(turn, "number.degrees"));
        notice.setId("number-faceNotice");
        add(notice, 0, row, 2, 1);
        getChildren().stream().filter(Label.class::isInstance)
                .forEach(label -> ((Region) label).setMinWidth(Region.USE_PREF_SIZE));
    }

    private static HBox with(Spinner<Integer> spinner, String unit) {
        HBox row = new HBox(8, spinner, new Label(Words.of(unit)));
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private void spinner(Spinner<Integer> spinner, String id, IntConsumer take) {
        spinner.setId(id);
        spinner.setEditable(true);
        spinner.setPrefWidth(86);
        spinner.valueProperty().addListener((value, before, now) -> {
            if (!showing && now != null) take.accept(now);
        });
    }

    private static String name(Face face) {
        return face instanceof SystemFace system ? system.name() : Words.of("number.face." + face.key());
    }

    /** The typefaces of the machine are looked for when somebody wants to see them. */
    private void findOthers(Workspace workspace) {
        if (searched) return;
        searched = true;
        workspace.jobs().quietly(SystemFaces::names, names -> {
            Face now = face.getValue();
            List<Face> all = new ArrayList<>(List.of(Typeface.values()));
            names.forEach(name -> all.add(new SystemFace(name)));
            showing = true;
            face.getItems().setAll(all);
            face.setValue(now);
            showing = false;
        });
    }

    private static Ink ink(Color colour) {
        return new Ink((int) Math.round(colour.getRed() * 255) << 16 | (int) Math.round(colour.getGreen() * 255) << 8
                | (int) Math.round(colour.getBlue() * 255));
    }

    void show(NumberState state) {
        showing = true;
        MarkLook look = state.look();
        face.setValue(look.face());
        size.getValueFactory().setValue(Math.round(look.sizePt()));
        float[] parts = look.ink().parts();
        colour.setValue(Color.color(parts[0], parts[1], parts[2]));
        ground.setValue(look.ground());
        opacity.getValueFactory().setValue((int) Math.round(look.opacity() * 100));
        turn.getValueFactory().setValue(look.turn());
        notice.setText(state.notice());
        Controls.show(notice, !look.face().isPresent());
        showing = false;
    }
}
