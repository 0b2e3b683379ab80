package app.yellowtab.desktop.arrange;

import app.yellowtab.desktop.entry.Arrangement;
import app.yellowtab.desktop.entry.Arrangement.Field;
import app.yellowtab.desktop.entry.EntryDesk;
import app.yellowtab.desktop.entry.Filling;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.replace.Replacement;
import app.yellowtab.desktop.work.Shortcut;
import app.yellowtab.edit.Enclosing;
import app.yellowtab.edit.SortOrder;
import app.yellowtab.leaf.PlannedEntry.PlannedDocument;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.InTray;
import app.yellowtab.model.entry.Agreement;
import app.yellowtab.model.run.EnclosedFile;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;

/** What can be done with the rows that are chosen, made anew whenever it is shown, so that it says just what is possible. */
final class EntryMenu extends ContextMenu {
    private final Arrangement arrangement;
    private final EntryDesk desk;
    private final Replacement replacement;
    private final Runnable askWhereTo;
    private final Runnable askForCopy;
    private final Supplier<Optional<Path>> file;
    private final Runnable savePages;

    /**
     * @param askWhereTo asks for the section that what is chosen is moved to
     * @param askForCopy asks for the section that a copy of it is put in
     * @param file       asks for a file
     * @param savePages  saves the pages of what is chosen as files
     */
    EntryMenu(Arrangement arrangement, Replacement replacement, Runnable askWhereTo, Runnable askForCopy,
            Supplier<Optional<Path>> file, Runnable savePages) {
        this.arrangement = arrangement;
        this.desk = arrangement.entries();
        this.replacement = replacement;
        this.askWhereTo = askWhereTo;
        this.askForCopy = askForCopy;
        this.file = file;
        this.savePages = savePages;
        // A menu without items is not shown at all.
        getItems().add(new MenuItem());
        setOnShowing(event -> getItems().setAll(items()));
    }

    private List<MenuItem> items() {
        boolean nothing = arrangement.selectedProperty().get().isEmpty();
        PlannedDocument document = arrangement.lastSelected().orElse(null) instanceof PlannedDocument planned ? planned : null;
        List<MenuItem> items = new ArrayList<>();
        if (!nothing) items.add(item(Words.of("menu.rename"), () -> arrangement.beginEditing(Field.TITLE)));
        if (document != null) {
            items.add(item(Words.of("menu.date"), () -> arrangement.beginEditing(Field.DATE)));
            items.add(item(Words.of("menu.description"), () -> arrangement.beginEditing(Field.DESCRIPTION)));
            if (document.document().enclosed().isEmpty())
                items.add(item(Words.of(Arrangement.isFree(document.document()) ? "menu.reserved" : "menu.pages"),
                        () -> arrangement.beginEditing(Field.PAGES)));
            items.add(item(Words.of("menu.frontSheet"), () -> arrangement.beginEditing(Field.MARK)));
            if (Enclosing.isPossible(document.document())) items.add(asFile(document.document()));
            items.add(new SeparatorMenuItem());
            if (document.document().isPlaceholder()) fill(items, document);
            if (Replacement.isPossible(document.document())) replace(items, document);
            together(items);
        }
        if (!nothing) {
            items.add(new SeparatorMenuItem());
            items.add(item(Words.of("menu.moveTo", Shortcut.MOVE_TO.shown()), askWhereTo));
            items.add(item(Words.of("menu.copyTo", Shortcut.COPY_TO.shown()), askForCopy));
            Menu sort = new Menu(Words.of("menu.sort"));
            sort.getItems().setAll(sorts(desk));
            items.add(sort);
            items.add(item(Words.of("menu.savePages"), savePages));
            items.add(new SeparatorMenuItem());
        }
        if (document != null) items.add(standings(document));
        if (document != null)
            items.add(item(Words.of(document.tab() > 0 ? "menu.unlisted" : "menu.listed"), arrangement::toggleInIndex));
        if (!nothing) items.add(item(Words.of("menu.takeOut"), arrangement::takeOut));
        items.add(item(Words.of("menu.placeholder"), desk::addPlaceholder));
        items.add(item(Words.of("menu.section"), arrangement::addSection));
        return items;
    }

    /** What the free pages of a document are filled with. */
    private void fill(List<MenuItem> items, PlannedDocument document) {
        arrangement.onlyInTray().ifPresent(item -> items.add(item(Words.of("menu.fillFromTray", shortened(Filling.name(item))),
                () -> arrangement.filling().fillWith(document.id(), item.id()))));
        items.add(item(Words.of("menu.fill"),
                () -> file.get().ifPresent(chosen -> arrangement.filling().fillWith(document.id(), chosen))));
        items.add(new SeparatorMenuItem());
    }

    /** What the file of a document is replaced by. */
    private void replace(List<MenuItem> items, PlannedDocument document) {
        arrangement.onlyInTray().ifPresent(lies -> {
            if (lies instanceof InTray.File newer)
                items.add(item(Words.of("menu.replaceFromTray", shortened(newer.source().fileName())),
                        () -> replacement.begin(document.id(), newer.source().id())));
        });
        items.add(item(Words.of("menu.replace"), () -> file.get().ifPresent(chosen -> replacement.begin(document.id(), chosen))));
    }

    /** What is done with pages of a document, and with documents that go together. */
    private void together(List<MenuItem> items) {
        desk.pagesBeforeView()
                .ifPresent(before -> items.add(item(Words.of("menu.divide", before + 1, Shortcut.DIVIDE.shown()), desk::divide)));
        if (desk.rest() > 0) items.add(item(Words.of("menu.rest", desk.rest()), desk::takeRest));
        if (desk.canJoin()) items.add(item(Words.of("menu.join", Shortcut.JOIN.shown()), desk::join));
        desk.ownerAbove().ifPresent(title -> items.add(item(Words.of("menu.tie", shortened(title)), desk::tie)));
        if (desk.isTied()) items.add(item(Words.of("menu.part"), desk::part));
    }

    /** Whether the file of a document goes along as it is, and what stands for it. */
    private Menu asFile(Document document) {
        Menu menu = new Menu(Words.of("menu.asFile"));
        Optional<EnclosedFile> file = document.enclosed();
        if (file.filter(EnclosedFile::sheet).isEmpty())
            menu.getItems().add(item(Words.of("menu.asFile.sheet"), () -> desk.enclose(true)));
        if (file.isEmpty() || file.get().sheet())
            menu.getItems().add(item(Words.of("menu.asFile.line"), () -> desk.enclose(false)));
        if (file.isPresent())
            menu.getItems().add(item(Words.of("menu.asFile.supplied"), () -> arrangement.beginEditing(Field.SUPPLIED)));
        if (desk.canShowPages()) menu.getItems().add(item(Words.of("menu.asFile.pages"), desk::showPages));
        return menu;
    }

    private Menu standings(PlannedDocument document) {
        Menu menu = new Menu(Words.of("menu.standing"));
        for (Agreement.Standing standing : Agreement.Standing.values()) {
            if (standing != document.document().agreement().standing())
                menu.getItems().add(item(Words.of("standing." + standing.name()), () -> desk.stand(standing)));
        }
        return menu;
    }

    private static String shortened(String title) {
        return title.length() > 40 ? title.substring(0, 38).stripTrailing() + "…" : title;
    }

    /** {@return an item for every order} */
    static List<MenuItem> sorts(EntryDesk desk) {
        List<MenuItem> items = new ArrayList<>();
        for (SortOrder by : SortOrder.values()) items.add(item(Words.of("sort." + by.name()), () -> desk.sort(by)));
        return items;
    }

    private static MenuItem item(String words, Runnable action) {
        MenuItem item = new MenuItem(words);
        item.setMnemonicParsing(false);
        item.setOnAction(event -> action.run());
        return item;
    }
}
