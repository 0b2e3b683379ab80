package app.yellowtab.desktop.look;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.control.Spinner;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.util.Subscription;
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
        tip(control, words);
        control.setAccessibleText(words);
    }

    /**
     * Gives a control words that are shown where the mouse rests on it. What shows them is a window of its own, and is made when
     * the mouse first comes; no words, no tooltip.
     */
    public static void tip(Control control, String words) {
        if (words.isEmpty()) {
            control.setOnMouseEntered(null);
            control.setTooltip(null);
        } else if (control.getTooltip() != null) {
            control.getTooltip().setText(words);
        } else {
            control.setOnMouseEntered(event -> {
                control.setTooltip(new Tooltip(words));
                control.setOnMouseEntered(null);
            });
        }
    }

    public static Label label(String text, String style) {
        Label label = new Label(text);
        label.getStyleClass().add(style);
        return label;
    }

    /** Lets Enter take the number that was typed, and nothing else: no button of the screen is pressed by it. */
    public static void takeEnter(Spinner<Integer> spinner) {
        spinner.addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() != KeyCode.ENTER) return;
            spinner.commitValue();
            event.consume();
        });
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

    /**
     * Takes hidden parts out of a pane, each to be put in at its place when it is shown for the first time: what nobody has asked
     * for yet need not be styled and laid out before the first picture of a screen.
     */
    public static void attachWhenShown(Pane pane, Node... parts) {
        List<Node> all = List.copyOf(pane.getChildren());
        for (Node part : parts) {
            if (part.isVisible()) continue;
            pane.getChildren().remove(part);
            Subscription[] waiting = new Subscription[1];
            waiting[0] = part.visibleProperty().subscribe((before, shown) -> {
                waiting[0].unsubscribe();
                int at = (int) all.subList(0, all.indexOf(part)).stream().filter(pane.getChildren()::contains).count();
                pane.getChildren().add(at, part);
            });
        }
    }

    /** Shows a node, or takes it away together with its room. */
    public static void show(Node node, boolean shown) {
        node.setVisible(shown);
        node.setManaged(shown);
    }

    /** {@return whether a node has the keyboard in its window, even while another window is in front of that} */
    public static boolean isWhereOneTypes(Node node) {
        return node.getScene() != null && node.getScene().getFocusOwner() == node;
    }
}
