package app.yellowtab.desktop.arrange;

import app.yellowtab.desktop.agree.AgreeMenu;
import app.yellowtab.desktop.agree.AgreeView;
import app.yellowtab.desktop.agree.Agreeing;
import app.yellowtab.desktop.entry.Arrangement;
import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.FileDialogs;
import app.yellowtab.desktop.look.Late;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.pages.FrameWish;
import app.yellowtab.desktop.pages.PagePictures;
import app.yellowtab.desktop.replace.ReplaceView;
import app.yellowtab.desktop.replace.Replacement;
import app.yellowtab.desktop.table.PagesDesk;
import app.yellowtab.desktop.table.PagesView;
import app.yellowtab.desktop.table.PagesWork;
import app.yellowtab.desktop.work.Intakes;
import app.yellowtab.desktop.work.Shortcut;
import app.yellowtab.desktop.work.StageView;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.Moves;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.util.Subscription;

/** The tray on the left, the index sheet in the middle. */
public final class ArrangeStage extends HBox implements StageView {
    private static final long RESTS_MILLIS = 1500;
    private final Arrangement arrangement;
    private final FileDialogs dialogs;
    private final Tray tray;
    private final IndexSheet sheet;
    private final Replacement replacement;
    private final Late<ReplaceView> compared;
    private final Agreeing agreeing;
    private final Late<AgreeView> agreed;
    private final PagesDesk desk;
    private final Late<PagesView> pages;
    private final Subscription subscription;

    public ArrangeStage(Workspace workspace, Intakes intakes, FileDialogs dialogs, PagePictures pictures, AgreeMenu.Kept kept,
            FrameWish frame) {
        this.arrangement = new Arrangement(workspace, intakes);
        this.dialogs = dialogs;
        this.tray = new Tray(workspace, arrangement, this::addFiles, this::addFolder);
        this.replacement = new Replacement(workspace, intakes, pictures.renderer());
        // Three that take the place of the sheet, each when it is asked for.
        this.compared = Late.in(this, () -> wide(new ReplaceView(workspace, replacement, pictures, dialogs)));
        this.agreeing = new Agreeing(workspace, kept.reference()::form, ArrangeStage::rest);
        this.agreed = Late.in(this, () -> wide(new AgreeView(workspace, agreeing)));
        this.sheet = new IndexSheet(workspace, arrangement, replacement, new AgreeMenu(workspace, agreeing, dialogs, kept),
                () -> dialogs.files(Words.of("menu.fill")).stream().findFirst());
        getChildren().addAll(tray, wide(sheet));
        this.desk = new PagesDesk(workspace);
        PagesWork work = new PagesWork(workspace, intakes, desk);
        this.pages = Late.in(this, () -> wide(new PagesView(workspace, desk, work, pictures, dialogs, frame)));
        tray.onSave(item -> dialogs.saveAs(Words.of("tray.save"), work.suggested(item))
                .ifPresent(target -> work.save(item, target, tray::say)));
        sheet.onPages(this::openPages);
        sheet.onSavePages(() -> {
            openPages();
            pages.get().beginSaving();
        });
        subscription = Subscription.combine(desk.shownProperty().subscribe(shown -> showPart()),
                replacement.stateProperty().subscribe(state -> showPart()),
                agreeing.stateProperty().subscribe(state -> showPart()));
    }

    private static <R extends Region> R wide(R part) {
        HBox.setHgrow(part, Priority.ALWAYS);
        return part;
    }

    /** Waits until nobody types any more; in the background. */
    private static void rest() {
        try {
            Thread.sleep(RESTS_MILLIS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** Puts the keyboard on the sheet. */
    @Override
    public void begin() {
        sheet.focusRows();
    }

    /** Lays the pages of what is chosen on the table, or all of them. */
    private void openPages() {
        desk.open(arrangement.selectedProperty().get());
    }

    /** The sheet, or what has taken its place. */
    private void showPart() {
        boolean replaces = !(replacement.stateProperty().get() instanceof Replacement.ReplaceState.None);
        boolean agrees = !replaces && !(agreeing.stateProperty().get() instanceof Agreeing.AgreeState.None);
        boolean lies = !replaces && !agrees && desk.shownProperty().get().open();
        boolean changed = agrees != Late.isShown(agreed) || replaces != Late.isShown(compared) || lies != Late.isShown(pages);
        Late.show(pages, lies);
        Late.show(compared, replaces);
        Late.show(agreed, agrees);
        Controls.show(tray, !replaces && !agrees && !lies);
        Controls.show(sheet, !replaces && !agrees && !lies);
        if (!changed) return;
        if (agrees) agreed.get().begin();
        else if (lies) pages.get().begin();
        else if (!replaces) sheet.focusRows();
    }

    @Override
    public void dispose() {
        subscription.unsubscribe();
        replacement.cancel();
        compared.ifMade(ReplaceView::dispose);
        pages.ifMade(PagesView::dispose);
        desk.dispose();
        agreeing.dispose();
        agreed.ifMade(AgreeView::dispose);
        tray.dispose();
        arrangement.dispose();
        sheet.dispose();
    }

    /** {@return whether the keys meant something here} */
    @Override
    public boolean run(Shortcut shortcut, boolean typing) {
        if (typing || Late.isShown(compared) || Late.isShown(agreed)) return false;
        if (shortcut == Shortcut.PAGES) {
            if (Late.isShown(pages)) desk.close();
            else openPages();
            return true;
        }
        if (Late.isShown(pages)) return false;
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
