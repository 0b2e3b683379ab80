package app.yellowtab.desktop.mark;

import app.yellowtab.desktop.look.InWords;
import app.yellowtab.mark.Spot;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.control.ChoiceBox;

/** The nine places of a page in words. */
public final class PlaceChoice extends ChoiceBox<PlaceChoice.Where> {
    private boolean showing;

    /** A place without its distances from the edges. */
    public record Where(Spot.Row row, Spot.Column column) {}

    /** @param chosen takes a place as far from the edges as usual */
    public PlaceChoice(String id, Consumer<Spot> chosen) {
        setId(id);
        List<Where> all = new ArrayList<>();
        for (Spot.Row row : Spot.Row.values()) for (Spot.Column column : Spot.Column.values()) all.add(new Where(row, column));
        getItems().setAll(all);
        setConverter(new InWords<>(where -> NumberWords.place(new Spot(where.row(), where.column(), 0, 0))));
        setOnAction(event -> {
            if (!showing && getValue() != null)
                chosen.accept(new Spot(getValue().row(), getValue().column(), Spot.STANDARD.across(), Spot.STANDARD.down()));
        });
    }

    public void show(Spot spot) {
        showing = true;
        setValue(new Where(spot.row(), spot.column()));
        showing = false;
    }
}
