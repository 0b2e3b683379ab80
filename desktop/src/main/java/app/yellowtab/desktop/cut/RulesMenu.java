package app.yellowtab.desktop.cut;

import app.yellowtab.desktop.work.Controls;
import app.yellowtab.desktop.work.FileDialogs;
import app.yellowtab.desktop.work.Styles;
import app.yellowtab.desktop.work.Words;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.finding.FindingException;
import app.yellowtab.model.cut.CutRules;
import app.yellowtab.store.KeptRules;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.VBox;

/** Rules that are kept under a name: used again, given away as a file, taken from one, forgotten. */
final class RulesMenu extends VBox {
    private final Workspace workspace;
    private final CutDesk desk;
    private final KeptRules kept;
    private final FileDialogs dialogs;
    private final MenuButton menu = new MenuButton(Words.of("cut.kept"));
    private final TextField name = new TextField();
    private final Label said = Controls.paragraph("", Styles.SMALL);
    private List<KeptRules.Named> all = List.of();

    RulesMenu(Workspace workspace, CutDesk desk, KeptRules kept, FileDialogs dialogs) {
        super(4);
        this.workspace = workspace;
        this.desk = desk;
        this.kept = kept;
        this.dialogs = dialogs;
        menu.setId("cut-kept");
        name.setId("cut-kept-name");
        name.setPromptText(Words.of("cut.kept.name"));
        name.setAccessibleText(Words.of("cut.kept.name"));
        name.setOnAction(event -> keep());
        name.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.ESCAPE) Controls.show(name, false);
        });
        Controls.show(name, false);
        Controls.show(said, false);
        menu.setOnShowing(event -> fill());
        fill();
        getChildren().addAll(menu, name, said);
        load();
    }

    private Optional<CutRules> now() {
        return desk.shownProperty().get().map(shown -> shown.batch().rules());
    }

    private void load() {
        workspace.jobs().quietly(kept::list, listed -> {
            all = listed;
            fill();
        });
    }

    private void fill() {
        menu.getItems().clear();
        for (KeptRules.Named rules : all) menu.getItems().add(item(rules.name(), () -> desk.useRules(rules.rules())));
        if (!all.isEmpty()) menu.getItems().add(new SeparatorMenuItem());
        menu.getItems().addAll(item(Words.of("cut.kept.keep"), this::askName), item(Words.of("cut.kept.give"), this::give), item(Words.of("cut.kept.take"), this::take));
        if (all.isEmpty()) return;
        Menu forget = new Menu(Words.of("cut.kept.forget"));
        for (KeptRules.Named rules : all) forget.getItems().add(item(rules.name(), () -> change(() -> kept.forget(rules.name()), Words.of("cut.kept.forgotten", rules.name()))));
        menu.getItems().add(forget);
    }

    private static MenuItem item(String words, Runnable action) {
        MenuItem item = new MenuItem(words);
        item.setMnemonicParsing(false);
        item.setOnAction(event -> action.run());
        return item;
    }

    private void askName() {
        Controls.show(name, true);
        name.requestFocus();
    }

    private void keep() {
        String called = name.getText().strip();
        if (called.isEmpty() || now().isEmpty()) return;
        CutRules rules = now().get();
        Controls.show(name, false);
        name.clear();
        change(() -> kept.keep(new KeptRules.Named(called, rules)), Words.of("cut.kept.done", called));
    }

    private void give() {
        now().ifPresent(rules -> dialogs.saveAs(Words.of("cut.kept.give"), workspace.folder().path().resolve(Words.of("cut.kept.file") + ".json"))
                .ifPresent(file -> change(() -> KeptRules.write(file, new KeptRules.Named(stem(file), rules)), Words.of("cut.kept.given", file))));
    }

    private static String stem(Path file) {
        String stem = String.valueOf(file.getFileName()).replaceFirst("(?i)\\.json$", "");
        return stem.isBlank() ? Words.of("cut.kept.file") : stem;
    }

    private void take() {
        List<Path> files = dialogs.files(Words.of("cut.kept.take"));
        if (files.isEmpty()) return;
        workspace.jobs().start((progress, stop) -> KeptRules.read(files.getFirst()), rules -> {
            desk.useRules(rules.rules());
            say(Words.of("cut.kept.taken", rules.name()));
        }, this::fail);
    }

    /** Something that is done to what is kept. */
    @FunctionalInterface
    private interface Change {
        void run() throws FindingException;
    }

    private void change(Change change, String done) {
        workspace.jobs().start((progress, stop) -> {
            change.run();
            return done;
        }, words -> {
            say(words);
            load();
        }, this::fail);
    }

    private void fail(Throwable failure) {
        say(failure instanceof FindingException known ? known.getMessage() : Words.of("cut.unexpected"));
    }

    private void say(String words) {
        said.setText(words);
        Controls.show(said, !words.isEmpty());
    }
}
