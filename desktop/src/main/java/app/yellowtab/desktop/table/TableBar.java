package app.yellowtab.desktop.table;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;
import org.kordamp.ikonli.feather.Feather;

/** A sentence with gaps above the table, which is there when it is wanted, and what came of it. */
abstract class TableBar extends VBox {
    private final FlowPane sentence = new FlowPane(8, 6);
    private final Label said = Controls.paragraph("", Styles.SMALL);
    private final String opening;

    /**
     * @param name    begins its id, and its words
     * @param opening what it says when it is opened; may be empty
     */
    TableBar(String name, String opening) {
        super(4);
        this.opening = opening;
        setId(name + "-bar");
        sentence.setAlignment(Pos.CENTER_LEFT);
        said.setId(name + "-said");
        getChildren().addAll(sentence, said);
        addEventHandler(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() != KeyCode.ESCAPE) return;
            open(false);
            event.consume();
        });
        Controls.show(this, false);
    }

    /** Puts the parts of the sentence in, and what closes it. */
    final void lay(Node... parts) {
        sentence.getChildren().setAll(parts);
        sentence.getChildren().add(Controls.iconButton(Feather.X, getId().replace("-bar", "") + ".close", () -> open(false)));
    }

    /** Says what came of it. */
    final void say(String words) {
        said.setText(words);
        Controls.show(said, !words.isEmpty());
    }

    /** Shows it with the keyboard in its first gap, or takes it away. */
    void open(boolean shows) {
        Controls.show(this, shows);
        say(shows ? opening : "");
        if (shows) first().requestFocus();
    }

    /** {@return where the keyboard is when it is opened} */
    abstract Node first();

    /** {@return a choice within the sentence} */
    static <E extends Enum<E>> ChoiceBox<E> choice(String id, List<E> choices) {
        ChoiceBox<E> box = new ChoiceBox<>();
        box.setId(id);
        box.getItems().setAll(choices);
        box.setConverter(new StringConverter<>() {
            @Override
            public String toString(E choice) {
                return choice == null ? "" : Words.of(id.replace('-', '.') + "." + choice.name());
            }

            @Override
            public E fromString(String words) {
                return choices.stream().filter(choice -> toString(choice).equals(words)).findFirst().orElse(choices.getFirst());
            }
        });
        box.setValue(choices.getFirst());
        return box;
    }
}
