package app.yellowtab.desktop.look;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;

/** A choice of one of few, all of them seen. */
public final class Segments<T> extends HBox {
    private final List<T> choices;
    private final List<ToggleButton> buttons = new ArrayList<>();
    private final ToggleGroup group = new ToggleGroup();

    /**
     * @param id     of the control; each choice has it with its name behind
     * @param words  what a choice says
     * @param chosen takes what was chosen by hand
     */
    public Segments(String id, List<T> choices, Function<T, String> words, Consumer<T> chosen) {
        this.choices = List.copyOf(choices);
        setId(id);
        getStyleClass().add(Styles.SEGMENTS);
        for (T choice : choices) {
            ToggleButton button = new ToggleButton(words.apply(choice));
            button.setId(id + "-" + choice);
            button.setToggleGroup(group);
            button.setMnemonicParsing(false);
            button.setOnAction(event -> {
                button.setSelected(true);
                chosen.accept(choice);
            });
            buttons.add(button);
        }
        getChildren().addAll(buttons);
    }

    /** Shows what is chosen. */
    public void choose(T choice) {
        buttons.get(choices.indexOf(choice)).setSelected(true);
    }

    /** Gives a choice other words. */
    public void say(T choice, String words) {
        buttons.get(choices.indexOf(choice)).setText(words);
    }

    /** Shows a choice, or takes it away. */
    public void offer(T choice, boolean offered) {
        Controls.show(buttons.get(choices.indexOf(choice)), offered);
    }
}
