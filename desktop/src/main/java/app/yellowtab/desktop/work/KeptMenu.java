package app.yellowtab.desktop.work;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.FileDialogs;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.finding.FindingException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.scene.control.Label;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.VBox;

/**
 * Things that are kept under names, to be used again, given away and taken in: a menu, a field for a name, and what came of it.
 *
 * @param <T> what is kept
 */
public final class KeptMenu<T> extends VBox {
    private final Jobs jobs;
    private final FileDialogs dialogs;
    private final Path folder;
    private final String key;
    private final Store<T> store;
    private final Supplier<Optional<T>> now;
    private final Consumer<T> use;
    private final MenuButton menu;
    private final TextField name = new TextField();
    private final Label said = Controls.paragraph("", Styles.SMALL);
    private List<Kept<T>> all = List.of();
    private Optional<String> standard = Optional.empty();

    /** Something that is kept, and what it is called. */
    public record Kept<T>(String name, T value) {}

    /** Where things are kept; asked in the background. */
    public interface Store<T> {
        List<Kept<T>> list();

        void keep(Kept<T> one) throws FindingException;

        void forget(String name) throws FindingException;

        Kept<T> read(Path file) throws FindingException;

        void write(Path file, Kept<T> one) throws FindingException;

        /** {@return whether one of them can be what new bundles begin with} */
        default boolean hasStandard() {
            return false;
        }

        /** {@return the name of the one that new bundles begin with} */
        default Optional<String> standard() {
            return Optional.empty();
        }

        /** Makes one of them what new bundles begin with, or none. */
        default void makeStandard(Optional<String> name) throws FindingException {
            throw new UnsupportedOperationException();
        }
    }

    /**
     * @param folder files are given away into it, unless the user says otherwise
     * @param key    of its words
     * @param now    gives what would be kept
     * @param use    takes what is to be used
     */
    public KeptMenu(Jobs jobs, FileDialogs dialogs, Path folder, String key, Store<T> store, Supplier<Optional<T>> now,
            Consumer<T> use) {
        super(4);
        this.jobs = jobs;
        this.dialogs = dialogs;
        this.folder = folder;
        this.key = key;
        this.store = store;
        this.now = now;
        this.use = use;
        this.menu = new MenuButton(Words.of(key));
        menu.setId(key.replace('.', '-'));
        name.setId(key.replace('.', '-') + "-name");
        name.setPromptText(Words.of("kept.name"));
        name.setAccessibleText(Words.of("kept.name"));
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

    /** What was read of the store. */
    private record Listed<T>(List<Kept<T>> all, Optional<String> standard) {}

    private void load() {
        jobs.quietly(() -> new Listed<>(store.list(), store.standard()), listed -> {
            all = listed.all();
            standard = listed.standard();
            fill();
        });
    }

    private void fill() {
        List<MenuItem> items = new ArrayList<>();
        for (Kept<T> one : all) items.add(item(one.name(), () -> use.accept(one.value())));
        if (!all.isEmpty()) items.add(new SeparatorMenuItem());
        items.addAll(List.of(item(Words.of(key + ".keep"), this::askName), item(Words.of(key + ".give"), this::give),
                item(Words.of(key + ".take"), this::take)));
        if (!all.isEmpty()) {
            if (store.hasStandard()) items.add(standards());
            Menu forget = new Menu(Words.of("kept.forget"));
            for (Kept<T> one : all) forget.getItems()
                    .add(item(one.name(), () -> change(() -> store.forget(one.name()), Words.of("kept.forgotten", one.name()))));
            items.add(forget);
        }
        menu.getItems().setAll(items);
    }

    private Menu standards() {
        Menu standards = new Menu(Words.of("kept.standard"));
        standards.getItems().add(item((standard.isEmpty() ? "✓ " : "") + Words.of("kept.noStandard"),
                () -> change(() -> store.makeStandard(Optional.empty()), Words.of("kept.standardNone"))));
        for (Kept<T> one : all) {
            boolean is = standard.filter(one.name()::equals).isPresent();
            standards.getItems().add(item((is ? "✓ " : "") + one.name(),
                    () -> change(() -> store.makeStandard(Optional.of(one.name())), Words.of("kept.standardDone", one.name()))));
        }
        return standards;
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
        Optional<T> value = now.get();
        if (called.isEmpty() || value.isEmpty()) return;
        Controls.show(name, false);
        name.clear();
        change(() -> store.keep(new Kept<>(called, value.get())), Words.of("kept.done", called));
    }

    private void give() {
        now.get().ifPresent(value -> dialogs.saveAs(Words.of(key + ".give"), folder.resolve(Words.of(key + ".file") + ".json"))
                .ifPresent(file -> change(() -> store.write(file, new Kept<>(stem(file), value)), Words.of("kept.given", file))));
    }

    private String stem(Path file) {
        String stem = String.valueOf(file.getFileName()).replaceFirst("(?i)\\.json$", "");
        return stem.isBlank() ? Words.of(key + ".file") : stem;
    }

    private void take() {
        List<Path> files = dialogs.files(Words.of(key + ".take"));
        if (files.isEmpty()) return;
        jobs.start((progress, stop) -> store.read(files.getFirst()), one -> {
            use.accept(one.value());
            say(Words.of(key + ".taken", one.name()));
        }, this::fail);
    }

    /** Something that is done to what is kept. */
    @FunctionalInterface
    private interface Change {
        void run() throws FindingException;
    }

    private void change(Change change, String done) {
        jobs.start((progress, stop) -> {
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
