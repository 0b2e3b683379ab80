package app.yellowtab.desktop.table;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.FileDialogs;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.table.PagesWork.Where;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;

/** Which pages of a file are put in, and where. */
final class InsertBar extends TableBar {
    private final TextField pages = new TextField();

    InsertBar(PagesWork work, FileDialogs dialogs) {
        super("insert", Words.of("insert.how"));
        pages.setId("insert-pages");
        pages.setPromptText(Words.of("insert.all"));
        pages.setAccessibleText(Words.of("insert.pages"));
        pages.setPrefColumnCount(8);
        ChoiceBox<Where> where = choice("insert-where", List.of(Where.BEHIND, Where.BEFORE, Where.INSTEAD));
        lay(new Label(Words.of("insert.put")), pages, new Label(Words.of("insert.of")), where,
                Controls.button("insert.do", () -> {
                    if (!work.hasChosen()) say(Words.of("insert.none"));
                    else dialogs.files(Words.of("insert.do")).stream().findFirst()
                            .ifPresent(file -> work.insert(file, pages.getText(), where.getValue(), this::say));
                }));
    }

    @Override
    Node first() {
        return pages;
    }
}
