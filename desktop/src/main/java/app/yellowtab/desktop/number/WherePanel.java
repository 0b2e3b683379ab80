package app.yellowtab.desktop.number;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.mark.NumberState;
import app.yellowtab.edit.page.LengthUnit;
import app.yellowtab.edit.page.Margins;
import app.yellowtab.mark.Spot;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Where marks stand: chosen on a small page, then by lengths from the edges. */
final class WherePanel extends HBox {
    private static final double WIDEST_MM = 400;

    private final NumberDesk desk;
    private final Map<Spot.Row, Map<Spot.Column, ToggleButton>> places = new EnumMap<>(Spot.Row.class);
    private final TextField across = length("number-across");
    private final TextField down = length("number-down");
    private final CheckBox mirrored = new CheckBox(Words.of("number.mirrored"));
    private final CheckBox here = new CheckBox(Words.of("number.here"));
    private final Button everywhere;
    /** As lengths were typed last. */
    private LengthUnit unit = LengthUnit.MM;
    private boolean showing;

    WherePanel(NumberDesk desk) {
        super(16);
        this.desk = desk;
        GridPane small = new GridPane(2, 2);
        small.getStyleClass().add(Styles.PLACES);
        ToggleGroup group = new ToggleGroup();
        for (Spot.Row row : Spot.Row.values()) {
            for (Spot.Column column : Spot.Column.values()) {
                ToggleButton place = new ToggleButton();
                place.setId("place-" + row.name() + "-" + column.name());
                place.setToggleGroup(group);
                Controls.describe(place, Words.of("number.place." + row.name() + "." + column.name()));
                place.setOnAction(event -> {
                    place.setSelected(true);
                    Spot now = desk.stateProperty().get().spot();
                    put(new Spot(row, column, now.across() > 0 ? now.across() : Spot.STANDARD.across(),
                            now.down() > 0 ? now.down() : Spot.STANDARD.down()));
                });
                places.computeIfAbsent(row, its -> new EnumMap<>(Spot.Column.class)).put(column, place);
                small.add(place, column.ordinal(), row.ordinal());
            }
        }
        mirrored.setId("number-mirrored");
        mirrored.setWrapText(true);
        mirrored.setOnAction(event -> desk.set(setting -> setting.withMirrored(mirrored.isSelected())));
        here.setId("number-here");
        everywhere = Controls.button("number.everywhere", () -> desk.putHere(Optional.empty()));
        HBox lengths = new HBox(8, new Label(Words.of("number.inward")), across, new Label(Words.of("number.fromEdge")), down);
        lengths.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(small, new VBox(10, lengths, mirrored, here, everywhere));
    }

    private TextField length(String id) {
        TextField length = new TextField();
        length.setId(id);
        length.setPrefColumnCount(5);
        length.setAccessibleText(Words.of(id.replace('-', '.')));
        length.setOnAction(event -> typed());
        length.focusedProperty().addListener((value, before, focused) -> {
            if (!focused && !showing) typed();
        });
        return length;
    }

    private void typed() {
        Spot now = desk.stateProperty().get().spot();
        Optional<Double> inward = Margins.read(across.getText()).filter(mm -> mm <= WIDEST_MM);
        Optional<Double> fromEdge = Margins.read(down.getText()).filter(mm -> mm <= WIDEST_MM);
        if (inward.isEmpty() || fromEdge.isEmpty()) {
            desk.say(Words.of("crop.noLength", (inward.isEmpty() ? across : down).getText().strip()));
            return;
        }
        unit = LengthUnit.of(across.getText()).filter(typed -> typed != unit).or(() -> LengthUnit.of(down.getText()))
                .orElse(unit);
        // What only was rounded to be shown stays as it is.
        Spot spot =
                new Spot(now.row(), now.column(), across.getText().equals(unit.shown(now.across())) ? now.across() : inward.get(),
                        down.getText().equals(unit.shown(now.down())) ? now.down() : fromEdge.get());
        if (!spot.equals(now)) put(spot);
        else show(desk.stateProperty().get());
    }

    /** Puts the chosen marks somewhere: on the page in view alone, if that is wanted. */
    void put(Spot spot) {
        if (here.isSelected()) desk.putHere(Optional.of(spot));
        else desk.put(spot);
    }

    void show(NumberState state) {
        showing = true;
        places.forEach((row, columns) -> columns
                .forEach((column, place) -> place.setSelected(row == state.spot().row() && column == state.spot().column())));
        if (!across.isFocused() || !across.getText().isEmpty()) across.setText(unit.shown(state.spot().across()));
        if (!down.isFocused() || !down.getText().isEmpty()) down.setText(unit.shown(state.spot().down()));
        across.setDisable(state.spot().column() == Spot.Column.MIDDLE);
        down.setDisable(state.spot().row() == Spot.Row.MIDDLE);
        mirrored.setSelected(state.setting().mirrored());
        Controls.show(everywhere, state.isMoved());
        showing = false;
    }
}
