package app.yellowtab.desktop.mark;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.edit.number.LineEdits;
import app.yellowtab.model.number.LineField;
import app.yellowtab.model.number.LinePart;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Bounds;
import javafx.geometry.Side;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.CustomMenuItem;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.text.Text;

/**
 * A line at head or foot as it is typed: its fields stand in it as small blocks, which are dragged, or moved with Alt and the
 * arrows, and deleted whole. For the JavaFX thread.
 */
public final class LineEditor extends FlowPane {
    private static final List<String> FORMS = List.of(LinePart.Field.STANDARD_FORM, "d MMM yyyy", "dd/MM/yyyy", "yyyy-MM-dd",
            "EEEE d MMMM yyyy", "d MMMM yyyy, HH:mm", "HH:mm");
    private static final double NARROWEST = 14;
    private static final double LEAST_DRAG = 4;

    private final Consumer<List<LinePart>> changed;
    private List<LinePart> parts = List.of();
    /** Where the next field is put in: the place of a part, and letters within it. */
    private int place;
    private int letter;

    /** @param changed takes the parts whenever they are others */
    public LineEditor(Consumer<List<LinePart>> changed) {
        super(2, 4);
        this.changed = changed;
        setId("line-editor");
        getStyleClass().add(Styles.LINE_EDITOR);
        addEventHandler(MouseEvent.MOUSE_CLICKED, event -> {
            if (event.getTarget() == this) typing(getChildren().size() - 1, Integer.MAX_VALUE);
        });
    }

    /** Shows parts; what has the keyboard keeps it. */
    public void show(List<LinePart> now) {
        if (now.equals(parts) && !getChildren().isEmpty()) return;
        parts = List.copyOf(now);
        place = parts.size();
        letter = 0;
        build();
    }

    /** {@return a menu that puts fields in where words were typed last} */
    public MenuButton menu(String id, List<LineField> fields) {
        MenuButton menu = new MenuButton(Words.of("line.put"));
        menu.setId(id);
        for (LineField field : fields) {
            MenuItem item = new MenuItem(NumberWords.field(field));
            item.setId(id + "-" + field.name());
            item.setMnemonicParsing(false);
            item.setOnAction(event -> put(field));
            menu.getItems().add(item);
        }
        return menu;
    }

    private void put(LineField field) {
        LinePart part = LinePart.Field.of(field);
        boolean within = place < parts.size() && letter > 0 && parts.get(place) instanceof LinePart.Typed;
        int node = place + (within ? 1 : 0);
        take(LineEdits.inserted(parts, place, letter, part));
        int at = Math.min(parts.indexOf(part) < 0 ? node : parts.lastIndexOf(part), parts.size() - 1);
        place = at + 1;
        letter = 0;
        build();
        typing(nodeBehind(at), 0);
    }

    private void take(List<LinePart> now) {
        parts = List.copyOf(now);
        changed.accept(parts);
    }

    /** Between all blocks, and before the first and behind the last, words can be typed. */
    private void build() {
        getChildren().clear();
        boolean words = false;
        for (int i = 0; i < parts.size(); i++) {
            switch (parts.get(i)) {
                case LinePart.Typed typed -> {
                    getChildren().add(words(i, typed.words(), true));
                    words = true;
                }
                case LinePart.Field field -> {
                    if (!words) getChildren().add(words(i, "", false));
                    getChildren().add(block(i, field));
                    words = false;
                }
            }
        }
        if (!words) getChildren().add(words(parts.size(), "", false));
    }

    /** @param isPart whether it is a part of the line already, or one that is to come before the part at the place */
    private TextField words(int at, String typed, boolean isPart) {
        TextField field = new TextField(typed);
        field.getStyleClass().add(Styles.LINE_WORDS);
        field.setAccessibleText(Words.of("line.words"));
        boolean[] own = {isPart};
        fit(field);
        field.textProperty().addListener((value, before, now) -> {
            fit(field);
            if (now.isEmpty()) {
                if (own[0]) take(LineEdits.changed(parts, at, Optional.empty()));
                own[0] = false;
                if (!now.equals(before)) rebuild(at);
            } else if (own[0]) {
                take(LineEdits.changed(parts, at, Optional.of(new LinePart.Typed(now))));
            } else {
                own[0] = true;
                List<LinePart> all = new ArrayList<>(parts);
                all.add(at, new LinePart.Typed(now));
                take(all);
                int caret = field.getCaretPosition();
                rebuild(at);
                typing(nodeOf(at), Math.max(1, caret));
            }
        });
        // A field that gets the keyboard back from a menu has all of its words chosen, and its caret is not where one typed.
        field.addEventHandler(KeyEvent.KEY_RELEASED, event -> remember(at, field));
        field.addEventHandler(MouseEvent.MOUSE_RELEASED, event -> remember(at, field));
        field.addEventFilter(KeyEvent.KEY_PRESSED, event -> onKey(event, field));
        return field;
    }

    private void remember(int at, TextField field) {
        place = at;
        letter = field.getCaretPosition();
    }

    private static void fit(TextField field) {
        Text measure = new Text(field.getText());
        measure.setFont(field.getFont());
        field.setPrefWidth(Math.max(NARROWEST, Math.ceil(measure.getLayoutBounds().getWidth()) + 8));
    }

    private void rebuild(int at) {
        build();
        typing(nodeOf(at), 0);
    }

    private void onKey(KeyEvent event, TextField field) {
        int node = getChildren().indexOf(field);
        boolean atBegin = field.getCaretPosition() == 0 && field.getSelection().getLength() == 0;
        boolean atEnd = field.getCaretPosition() == field.getLength() && field.getSelection().getLength() == 0;
        if (event.getCode() == KeyCode.BACK_SPACE && atBegin && node > 0) remove(node - 1);
        else if (event.getCode() == KeyCode.DELETE && atEnd && node + 1 < getChildren().size()) remove(node + 1);
        else if (event.getCode() == KeyCode.LEFT && atBegin && node > 0) getChildren().get(node - 1).requestFocus();
        else if (event.getCode() == KeyCode.RIGHT && atEnd && node + 1 < getChildren().size())
            getChildren().get(node + 1).requestFocus();
        else return;
        event.consume();
    }

    /** Takes the block at a place among the nodes out, whole. */
    private void remove(int node) {
        if (!(getChildren().get(node) instanceof Button block)) return;
        int at = (Integer) block.getUserData();
        int before = at > 0 && parts.get(at - 1) instanceof LinePart.Typed typed ? typed.words().length() : 0;
        take(LineEdits.without(parts, at));
        place = before > 0 ? at - 1 : at;
        letter = before;
        build();
        typing(nodeOf(place), before);
    }

    private int nodeOf(int part) {
        for (int i = 0; i < getChildren().size(); i++) {
            if (getChildren().get(i) instanceof Button block && (Integer) block.getUserData() >= part) return Math.max(0, i - 1);
        }
        return getChildren().size() - 1;
    }

    private int nodeBehind(int part) {
        for (int i = 0; i < getChildren().size(); i++)
            if (getChildren().get(i) instanceof Button block && (Integer) block.getUserData() == part)
                return Math.min(getChildren().size() - 1, i + 1);
        return getChildren().size() - 1;
    }

    private void typing(int node, int caret) {
        if (node < 0 || !(getChildren().get(node) instanceof TextField field)) return;
        // With its skin it chooses all of its words when it gets the keyboard: that must be over before the caret is put.
        field.applyCss();
        field.requestFocus();
        field.positionCaret(Math.min(caret, field.getLength()));
    }

    private Button block(int at, LinePart.Field field) {
        String words = field.of() == LineField.PRODUCED ? LinePart.Field.shown(field.form(), LocalDateTime.now())
                : NumberWords.field(field.of());
        Button block = new Button(words);
        block.setMnemonicParsing(false);
        block.setUserData(at);
        block.getStyleClass().add(Styles.LINE_BLOCK);
        Controls.describe(block, Words.of("line.block", NumberWords.field(field.of())));
        block.addEventFilter(KeyEvent.KEY_PRESSED, event -> onBlockKey(event, block, at));
        if (field.of() == LineField.PRODUCED) block.setOnAction(event -> forms(block, at));
        drags(block, at);
        return block;
    }

    private void onBlockKey(KeyEvent event, Button block, int at) {
        int node = getChildren().indexOf(block);
        if (event.getCode() == KeyCode.DELETE || event.getCode() == KeyCode.BACK_SPACE) remove(node);
        else if (event.isAltDown() && event.getCode() == KeyCode.LEFT && at > 0) move(at, at - 1);
        else if (event.isAltDown() && event.getCode() == KeyCode.RIGHT && at + 1 < parts.size()) move(at, at + 2);
        else if (event.getCode() == KeyCode.LEFT) typing(node - 1, Integer.MAX_VALUE);
        else if (event.getCode() == KeyCode.RIGHT) typing(node + 1, 0);
        else return;
        event.consume();
    }

    private void move(int from, int before) {
        LinePart moved = parts.get(from);
        take(LineEdits.moved(parts, from, before));
        build();
        for (Node node : getChildren())
            if (node instanceof Button block && parts.get((Integer) block.getUserData()).equals(moved)) block.requestFocus();
    }

    private void drags(Button block, int at) {
        double[] begun = new double[2];
        block.setOnMousePressed(event -> {
            begun[0] = event.getSceneX();
            begun[1] = event.getSceneY();
        });
        block.setOnMouseDragged(event -> {
            block.setTranslateX(event.getSceneX() - begun[0]);
            block.setTranslateY(event.getSceneY() - begun[1]);
            block.setViewOrder(-1);
        });
        block.setOnMouseReleased(event -> {
            boolean dragged = Math.hypot(block.getTranslateX(), block.getTranslateY()) > LEAST_DRAG;
            block.setTranslateX(0);
            block.setTranslateY(0);
            block.setViewOrder(0);
            if (!dragged) return;
            event.consume();
            move(at, partAt(event.getSceneX(), event.getSceneY()));
        });
    }

    /** {@return the part that something dropped somewhere comes before} */
    private int partAt(double sceneX, double sceneY) {
        int before = 0;
        for (Node node : getChildren()) {
            Bounds at = node.localToScene(node.getLayoutBounds());
            if (node instanceof TextField field && field.getText().isEmpty()) continue;
            boolean passed = sceneY > at.getMaxY() || sceneY >= at.getMinY() && sceneX > at.getMinX() + at.getWidth() / 2;
            if (!passed) break;
            before++;
        }
        return Math.min(before, parts.size());
    }

    /** Offers the forms of a date, each as it looks now, and one to be typed. */
    private void forms(Button block, int at) {
        ContextMenu menu = new ContextMenu();
        for (String form : FORMS) {
            MenuItem item = new MenuItem(LinePart.Field.shown(form, LocalDateTime.now()));
            item.setOnAction(event -> form(at, form));
            menu.getItems().add(item);
        }
        TextField own = new TextField(((LinePart.Field) parts.get(at)).form());
        own.setId("line-form");
        own.setPromptText(Words.of("line.form"));
        own.setAccessibleText(Words.of("line.form"));
        CustomMenuItem typed = new CustomMenuItem(own, false);
        own.setOnAction(event -> {
            if (isForm(own.getText())) {
                menu.hide();
                form(at, own.getText());
            } else {
                own.getStyleClass().add(Styles.WRONG);
            }
        });
        menu.getItems().add(typed);
        menu.show(block, Side.BOTTOM, 0, 0);
    }

    private static boolean isForm(String typed) {
        try {
            return !typed.isBlank() && !LinePart.Field.shown(typed, LocalDateTime.now()).isBlank();
        } catch (IllegalArgumentException none) {
            return false;
        }
    }

    private void form(int at, String form) {
        take(LineEdits.changed(parts, at, Optional.of(new LinePart.Field(LineField.PRODUCED, form))));
        build();
    }
}
