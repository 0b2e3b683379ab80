package app.yellowtab.desktop.look;

import javafx.scene.layout.HBox;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;

/** A picture and words, which say the same. */
public final class Sign {
    private Sign() {}

    public static HBox of(Feather picture, String words, String style) {
        HBox row = new HBox(8, new FontIcon(picture), Controls.paragraph(words, style));
        row.getStyleClass().add(style);
        return row;
    }
}
