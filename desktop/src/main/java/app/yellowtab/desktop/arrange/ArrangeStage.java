package app.yellowtab.desktop.arrange;

import app.yellowtab.desktop.pages.PagePictures;
import app.yellowtab.desktop.replace.ReplaceView;
import app.yellowtab.desktop.replace.Replacement;
import app.yellowtab.desktop.work.Controls;
import app.yellowtab.desktop.work.FileDialogs;
import app.yellowtab.desktop.work.Intakes;
import app.yellowtab.desktop.work.Shortcut;
import app.yellowtab.desktop.work.Words;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.Moves;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.util.Subscription;

/** The tray on the left, the index sheet in the middle. */
public final class ArrangeStage extends HBox {
    private final Arrangement arrangement;
    private final FileDialogs dialogs;
    private final Tray tray;
    private final IndexSheet sheet;
    private final Replacement replacement;
    private final ReplaceView compared;
    private final Subscription subscription;

    public ArrangeStage(Workspace workspace, Intakes intakes, FileDialogs dialogs, PagePictures pictures) {
        this.arrangement = new Arrangement(workspace, intakes);
        this.dialogs = dialogs;
        this.tray = new Tray(workspace, arrangement, this::addFiles, this::addFolder);
        this.replacement = new Replacement(workspace, intakes, pictures.renderer());
        this.compared = new ReplaceView(workspace, replacement, pictures, dialogs);
        this.sheet = new IndexSheet(workspace, arrangement, replacement, () -> dialogs.files(Words.of("menu.fill")).stream().findFirst());
        for (Region part : List.of(sheet, compared)) HBox.setHgrow(part, Priority.ALWAYS);
        getChildren().addAll(tray, sheet, compared);
        subscription = replacement.stateProperty().subscribe(state -> {
            boolean replaces = !(state instanceof Replacement.State.None);
            Controls.show(compared, replaces);
            Controls.show(tray, !replaces);
            Controls.show(sheet, !replaces);
            if (!replaces) sheet.focusRows();
        });
    }

    /** Puts the keyboard on the sheet. */
    public void begin() {
        sheet.focusRows();
    }

    public void dispose() {
        subscription.unsubscribe();
        replacement.cancel();
        compared.dispose();
        tray.dispose();
        arrangement.dispose();
        sheet.dispose();
    }

    /** {@return whether the keys meant something here} */
    public boolean run(Shortcut shortcut, boolean typing) {
        if (typing || compared.isVisible()) return false;
        boolean inTray = tray.hasKeyboard();
        switch (shortcut) {
            case ADD_FILES -> addFiles();
            case ADD_FOLDER -> addFolder();
            case NEW_SECTION -> arrangement.addSection();
            case PLACEHOLDER -> arrangement.entries().addPlaceholder();
            case DIVIDE -> arrangement.entries().divide();
            case JOIN -> arrangement.entries().join();
            case MOVE_TO -> sheet.askWhereTo();
            case COPY_TO -> sheet.askForCopy();
            case RENAME -> arrangement.beginEditing(Arrangement.Field.TITLE);
            case MOVE_UP -> arrangement.move(Moves::up);
            case MOVE_DOWN -> arrangement.move(Moves::down);
            case NEST -> arrangement.move(Moves::in);
            case UN_NEST -> arrangement.move(Moves::out);
            case TAKE_OUT -> {
                if (inTray) arrangement.dropFromTray(tray.chosen());
                else arrangement.takeOut();
            }
            case PUT_IN_INDEX -> {
                if (!inTray) return false;
                tray.putInIndex();
            }
            default -> {
                return false;
            }
        }
        return true;
    }

    private void addFiles() {
        List<Path> files = dialogs.files(Words.of("tray.addFiles"));
        if (!files.isEmpty()) arrangement.bringIn(files);
    }

    private void addFolder() {
        dialogs.folder(Words.of("tray.addFolder")).ifPresent(folder -> arrangement.bringIn(List.of(folder)));
    }
}
