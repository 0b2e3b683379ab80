package app.yellowtab.desktop.table;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.table.PagesWork.Where;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.Spinner;
import javafx.scene.control.TextField;

/** How many blank pages are put in, where, of which paper, and what they say. */
final class BlankBar extends TableBar {
    private static final int MOST = 50;

    /** The paper of a blank page. */
    private enum Paper {
        WHITE(""), YELLOW("fff4cc"), GREEN("e3efdc"), BLUE("dfeaf2"), PINK("f7e1dc");

        private final String tint;

        Paper(String tint) {
            this.tint = tint;
        }
    }

    private final Spinner<Integer> count = new Spinner<>(1, MOST, 1);

    BlankBar(PagesWork work) {
        super("blank", Words.of("blank.how"));
        count.setId("blank-count");
        count.setEditable(true);
        count.setPrefWidth(76);
        ChoiceBox<Where> where = choice("blank-where", List.of(Where.BEHIND, Where.BEFORE, Where.BEHIND_DOCUMENTS));
        ChoiceBox<Paper> paper = choice("blank-paper", List.of(Paper.values()));
        TextField words = new TextField();
        words.setId("blank-words");
        words.setPromptText(Words.of("blank.nothing"));
        words.setPrefColumnCount(12);
        lay(new Label(Words.of("blank.put")), count, paper, new Label(Words.of("blank.saying")), words, where,
                Controls.button("blank.do", () -> {
                    if (!work.hasChosen()) {
                        say(Words.of("blank.none"));
                        return;
                    }
                    work.blanks(where.getValue(), count.getValue(), paper.getValue().tint, words.getText().strip());
                    say("");
                }));
    }

    @Override
    Node first() {
        return count.getEditor();
    }
}
