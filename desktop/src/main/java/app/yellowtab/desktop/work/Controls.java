package app.yellowtab.desktop.work;

import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import org.kordamp.ikonli.Ikon;
import org.kordamp.ikonli.javafx.FontIcon;

/** Small pieces that every screen uses. */
public final class Controls {
    private Controls() {}

    /** {@return a button with words, doing something} */
    public static Button button(String key, Runnable action) {
        Button button = new Button(Words.of(key));
        button.setId(key.replace('.', '-'));
        button.setOnAction(event -> action.run());
        return button;
    }

    /** {@return an item of a menu with words, doing something} */
    public static MenuItem menuItem(String key, Runnable action) {
        MenuItem item = new MenuItem(Words.of(key));
        item.setId(key.replace('.', '-'));
        item.setMnemonicParsing(false);
        item.setOnAction(event -> action.run());
        return item;
    }

    /** {@return a button with a picture only; its words are in the tooltip and for screen readers} */
    public static Button iconButton(Ikon icon, String key, Runnable action) {
        Button button = button(key, action);
        describe(button, Words.of(key));
        button.setText("");
        button.setGraphic(new FontIcon(icon));
        button.getStyleClass().add(Styles.QUIET);
        return button;
    }

    /** Gives a control its words for the tooltip and for screen readers. */
    public static void describe(Control control, String words) {
        control.setTooltip(new Tooltip(words));
        control.setAccessibleText(words);
    }

    public static Label label(String text, String style) {
        Label label = new Label(text);
        label.getStyleClass().add(style);
        return label;
    }

    /** {@return a label that breaks its text into lines} */
    public static Label paragraph(String text, String style) {
        Label label = label(text, style);
        label.setWrapText(true);
        return label;
    }

    /** {@return an empty piece that takes up what room there is} */
    public static Region spring() {
        Region spring = new Region();
        HBox.setHgrow(spring, Priority.ALWAYS);
        return spring;
    }

    /** Shows a node, or takes it away together with its room. */
    public static void show(Node node, boolean shown) {
        node.setVisible(shown);
        node.setManaged(shown);
    }
}
