package app.yellowtab.desktop.produce;

import app.yellowtab.desktop.work.Controls;
import javafx.scene.layout.HBox;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;

/** A picture and words, which say the same. */
final class Sign {
    private Sign() {}

    static HBox of(Feather picture, String words, String style) {
        HBox row = new HBox(8, new FontIcon(picture), Controls.paragraph(words, style));
        row.getStyleClass().add(style);
        return row;
    }
}
