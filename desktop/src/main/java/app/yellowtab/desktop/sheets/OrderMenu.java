package app.yellowtab.desktop.sheets;

import app.yellowtab.desktop.batch.SheetDesk;
import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.model.source.Source;
import java.util.List;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;

/** Puts the pages of the batch on the table in another order. */
public final class OrderMenu extends MenuButton {
    private final SheetDesk sheets;

    public OrderMenu(SheetDesk sheets) {
        super(Words.of("cut.order"));
        this.sheets = sheets;
        setId("cut-order");
        Controls.describe(this, Words.of("cut.order.tip"));
        setOnShowing(event -> fill());
        fill();
    }

    private void fill() {
        Menu together = new Menu(Words.of("cut.order.together"));
        together.getItems().addAll(item("cut.order.half", () -> sheets.interleave(false)),
                item("cut.order.halfBack", () -> sheets.interleave(true)));
        List<Source> backs = sheets.backs();
        if (!backs.isEmpty()) together.getItems().add(new SeparatorMenuItem());
        for (Source file : backs) {
            together.getItems().addAll(named(Words.of("cut.order.file", file.fileName()), () -> sheets.join(file, false)),
                    named(Words.of("cut.order.fileBack", file.fileName()), () -> sheets.join(file, true)));
        }
        MenuItem back = item("cut.order.back", sheets::putBack);
        back.setDisable(sheets.isAsCame());
        getItems().setAll(item("cut.order.reverse", sheets::reverse), together, new SeparatorMenuItem(), back);
    }

    private static MenuItem item(String key, Runnable action) {
        MenuItem item = named(Words.of(key), action);
        item.setId(key.replace('.', '-'));
        return item;
    }

    private static MenuItem named(String words, Runnable action) {
        MenuItem item = new MenuItem(words);
        item.setMnemonicParsing(false);
        item.setOnAction(event -> action.run());
        return item;
    }
}
