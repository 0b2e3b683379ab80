package app.yellowtab.desktop.reader;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.FileDialogs;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.pages.FrameWish;
import app.yellowtab.desktop.pages.PagePane;
import app.yellowtab.desktop.pages.PagePictures;
import app.yellowtab.desktop.pages.PagePictures.Urgency;
import app.yellowtab.desktop.redact.LeakList;
import app.yellowtab.desktop.redact.Leaks;
import app.yellowtab.desktop.redact.RedactBar;
import app.yellowtab.desktop.redact.RedactDesk;
import app.yellowtab.desktop.redact.RedactHand;
import app.yellowtab.desktop.work.Shortcut;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.facts.PageText;
import app.yellowtab.find.BundleWords;
import app.yellowtab.keep.KeptReference;
import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.plan.Plan;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.animation.PauseTransition;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.text.TextAlignment;
import javafx.util.Duration;
import javafx.util.Subscription;
import org.kordamp.ikonli.feather.Feather;

/** Shows one leaf as it will be produced, with its number, and goes to any other. */
public final class Reader extends HBox {
    /** Sharp at the width shown, and on displays of up to double density. */
    private static final int WIDTH_PX = 760;
    /** The pages that one is likely to turn to, by how far they are away; made ready before they are asked for. */
    private static final int[] NEIGHBOURS = {1, -1, 2};
    /** As much of the words that are chosen is shown. */
    private static final double CHOSEN_PX = 64;
    private static final Duration PATIENCE = Duration.millis(250);

    private final Workspace workspace;
    private final PagePictures pictures;
    private final List<PagePictures.Request> requests = new ArrayList<>();
    /** While a page is long in coming, no other stands under its number. */
    private final PauseTransition late = new PauseTransition(PATIENCE);
    private final TextField number = new TextField();
    private final Label of = new Label();
    private final Label trouble = Controls.paragraph("", Styles.NOTICE);
    private final Label remark = Controls.paragraph("", Styles.NOTICE);
    private final PagePane page = new PagePane();
    private final StackPane paper = new StackPane(page, trouble);
    private final Label chosen = Controls.paragraph("", Styles.NOTICE);
    private final PageSelection selection = new PageSelection(page, this::showChosen);
    private final BundleWords words;
    private final RedactDesk redacting;
    private final RedactBar redactBar;
    private final RedactHand hand;
    private final Leaks leaking;
    private final LeakList leaks;
    private final ScrollPane leaksScroll;
    private final Button redact = Controls.iconButton(Feather.EYE_OFF, "reader.redact", this::redact);
    /** All but the page; with the page too, while it is not redacted. */
    private final VBox side = new VBox(8);
    private final ReadOnlyBooleanWrapper large = new ReadOnlyBooleanWrapper(this, "large", false);
    private final FindDesk finding;
    private final FindBar find;
    private final HitMarks hitMarks;
    private final ReferenceMenu reference;
    /** Whether the words of the page in view are there, or on their way. */
    private boolean hasWords;
    private int asked;
    private final Label what = Controls.paragraph("", Styles.SMALL);
    private final Subscription subscription;

    /** @param kept how the user writes references to pages */
    public Reader(Workspace workspace, PagePictures pictures, KeptReference kept, FileDialogs dialogs, FrameWish frame) {
        super(16);
        setId("reader");
        this.workspace = workspace;
        this.pictures = pictures;
        this.words = new BundleWords(workspace.folder());
        this.finding = new FindDesk(workspace, words);
        this.redacting = new RedactDesk(workspace, words);
        this.redactBar = new RedactBar(redacting, workspace, dialogs);
        this.leaking = new Leaks(workspace, words);
        this.leaks = new LeakList(leaking);
        this.leaksScroll = new ScrollPane(leaks);
        leaksScroll.setFitToWidth(true);
        leaksScroll.setMinHeight(0);
        leaksScroll.setPrefHeight(0);
        VBox.setVgrow(leaksScroll, Priority.ALWAYS);
        leaks.visibleProperty().subscribe(any -> Controls.show(leaksScroll, any && getChildren().contains(paper)));
        this.hand = new RedactHand(redacting, page, selection::text);
        page.onDrawn(() -> frame.wantedProperty().get() && !redacting.stateProperty().get().isOn(), area -> {
            page.mark(List.of(area));
            frame.give(area);
        });
        this.hitMarks = new HitMarks(workspace, words, finding, page);
        this.find = new FindBar(finding, this::redactHits);
        this.reference = new ReferenceMenu(workspace, kept);
        page.setFocusTraversable(true);
        page.hoverProperty().subscribe(at -> {
            if (at) readWords();
        });
        page.focusedProperty().subscribe(at -> {
            if (at) readWords();
        });
        page.setAccessibleText(Words.of("reader.page"));
        chosen.setId("chosen-words");
        chosen.setMaxHeight(CHOSEN_PX);
        chosen.setMinHeight(0);
        Controls.show(chosen, false);
        late.setOnFinished(event -> page.clear());
        number.setId("leaf-number");
        number.setPrefColumnCount(4);
        number.setAccessibleText(Words.of("reader.number"));
        number.setOnAction(event -> goToTyped());
        number.focusedProperty().subscribe(focused -> {
            if (!focused && !Controls.isWhereOneTypes(number)) showNumber();
        });
        HBox head = new HBox(6, Controls.iconButton(Feather.CHEVRON_LEFT, "reader.previous", () -> step(-1)),
                Controls.label(Words.of("reader.leaf"), Styles.SMALL), number, of,
                Controls.iconButton(Feather.CHEVRON_RIGHT, "reader.next", () -> step(1)), redact, reference);
        Controls.describe(redact, Words.of("reader.redact", Shortcut.REDACT.shown()));
        head.setAlignment(Pos.CENTER);
        Controls.show(trouble, false);
        paper.setMinSize(0, 0);
        paper.setAlignment(Pos.TOP_CENTER);
        paper.addEventHandler(ScrollEvent.SCROLL, event -> {
            if (event.getDeltaY() != 0) step(event.getDeltaY() < 0 ? 1 : -1);
        });
        VBox.setVgrow(paper, Priority.ALWAYS);
        remark.setId("leaf-remark");
        Controls.show(remark, false);
        what.setId("leaf-what");
        what.setAlignment(Pos.CENTER);
        what.setTextAlignment(TextAlignment.CENTER);
        what.setMaxWidth(Double.MAX_VALUE);
        side.getChildren().addAll(head, find, redactBar, what, remark, leaksScroll, paper, chosen);
        side.getStyleClass().add(Styles.READER_SIDE);
        HBox.setHgrow(side, Priority.ALWAYS);
        HBox.setHgrow(paper, Priority.ALWAYS);
        getStyleClass().add(Styles.READER);
        subscription = Subscription.combine(frame.wantedProperty().subscribe(wanted -> {
            page.mark(List.of());
            selection.enable(!wanted && !redacting.stateProperty().get().isOn());
        }), workspace.onPlan(plan -> show()),
                workspace.onLeaf(leaf -> show()), visibleProperty().subscribe(visible -> show()),
                workspace.unlockingsProperty().subscribe(count -> show()),
                finding.stateProperty().subscribe(state -> hitMarks.mark(read())),
                redacting.stateProperty().map(RedactDesk.RedactState::isOn).subscribe(this::showGlass));
        Controls.attachWhenShown(side, redactBar);
    }

    /** Puts in what it shows; until then it only takes its room, so that what is beside it is there sooner. */
    public void fill() {
        getChildren().setAll(side);
        show();
    }

    /** Puts the keyboard in the number field. */
    public void askForNumber() {
        number.requestFocus();
        number.selectAll();
    }

    /** Puts the keyboard where words are typed that are looked for. */
    public void askForWords() {
        find.ask();
    }

    /** Redacts the words that are chosen on the page; where none are, it puts the glass over the pages, or takes it away. */
    public void redact() {
        List<List<PageText.Word>> lines = selection.chosenLines();
        redacting.turnOn(!lines.isEmpty() || !redacting.stateProperty().get().isOn());
        if (!lines.isEmpty()) redacting.drawWords(lines);
        page.requestFocus();
    }

    /** Lays the page beside all else, where it has the most room, or back below it. */
    private void lay(boolean beside) {
        side.getChildren().remove(paper);
        getChildren().remove(paper);
        if (beside) getChildren().addFirst(paper);
        else side.getChildren().add(side.getChildren().indexOf(chosen), paper);
        HBox.setHgrow(side, beside ? Priority.NEVER : Priority.ALWAYS);
        pseudoClassStateChanged(Styles.LARGE, beside);
    }

    /** {@return whether the page takes all the room there is, since it is redacted} */
    public ReadOnlyBooleanProperty largeProperty() {
        return large.getReadOnlyProperty();
    }

    /** Ends redacting. */
    public void endRedacting() {
        redacting.turnOn(false);
    }

    private void redactHits() {
        FindDesk.FindState state = finding.stateProperty().get();
        redacting.walk(state.sought(), state.found().stream().map(BundleWords.Found::leaf).toList());
    }

    private void showGlass(boolean on) {
        Controls.show(redact, !on);
        large.set(on);
        if (on != getChildren().contains(paper)) lay(on);
        selection.enable(!on);
        find.offerRedacting(on);
        leaking.look(on);
        Controls.show(leaksScroll, on && leaks.isVisible());
        show();
    }

    /** Copies the words that are chosen on the page; {@return whether any are} */
    public boolean copy() {
        return selection.copy();
    }

    /** Copies the reference of the page in view. */
    public void copyReference() {
        reference.copy();
    }

    /** {@return whether the page has the keyboard} */
    public boolean hasPage() {
        return isVisible() && page.isFocused();
    }

    /** Chooses all words of the page; {@return whether there are any} */
    public boolean chooseAll() {
        return selection.chooseAll();
    }

    private void showChosen(String text) {
        chosen.setText(text.isEmpty() ? "" : Words.of("reader.chosen", text.replace('\n', ' ')));
        Controls.show(chosen, !text.isEmpty());
    }

    private void forgetWords() {
        asked++;
        hasWords = false;
        selection.show(PageText.NONE);
        if (page.isHover() || page.isFocused()) readWords();
    }

    /**
     * Has the words of the page in view read in the background, so that they can be chosen; that may mean to read a whole file,
     * and is not done before it is wanted.
     */
    private void readWords() {
        if (hasWords) return;
        hasWords = true;
        int mine = ++asked;
        Leaf leaf = redacting.seen(read());
        workspace.jobs().quietly(() -> {
            try {
                return words.of(leaf);
            } catch (IOException unreadable) {
                return PageText.NONE;
            }
        }, text -> {
            if (mine == asked) selection.show(text);
        });
    }

    public void dispose() {
        subscription.unsubscribe();
        finding.dispose();
        find.dispose();
        reference.dispose();
        redactBar.dispose();
        leaks.dispose();
        leaking.dispose();
        hand.dispose();
        redacting.dispose();
        withdraw();
    }

    private void step(int leaves) {
        workspace.goTo(workspace.leaf() + leaves);
    }

    private void goToTyped() {
        String typed = number.getText().strip();
        workspace.goToNumber(typed);
        showNumber();
        number.selectAll();
    }

    private void showNumber() {
        number.setText(read().label());
    }

    private void show() {
        // What nobody sees is shown when somebody does.
        if (!isVisible() || !getChildren().contains(side)) return;
        Plan plan = workspace.plan();
        Leaf leaf = redacting.seen(read());
        showNumber();
        of.setText(Words.of("reader.of", plan.lastNumber()));
        reference.showReference();
        what.setText(describe(plan, leaf));
        forgetWords();
        hitMarks.mark(read());
        page.mark(List.of());
        withdraw();
        late.playFromStart();
        requests.add(
                pictures.request(pictures.renderer().leaf(plan, leaf, WIDTH_PX), Urgency.IN_VIEW, result -> show(leaf, result)));
        for (int near : NEIGHBOURS) {
            int index = leaf.index() + near;
            if (index < 0 || index >= plan.pageCount()) continue;
            requests.add(pictures.request(pictures.renderer().leaf(plan, redacting.seen(plan.leaf(index)), WIDTH_PX),
                    Urgency.SOON, ready -> {}));
        }
    }

    private void withdraw() {
        requests.forEach(PagePictures.Request::cancel);
        requests.clear();
        late.stop();
    }

    private Leaf read() {
        return workspace.plan().leaf(workspace.leaf());
    }

    private void show(Leaf leaf, PagePictures.Result result) {
        late.stop();
        switch (result) {
            case PagePictures.Result.Picture drawn -> {
                page.show(drawn, workspace.plan().marksOn(leaf));
                boolean redacted = leaf.content() instanceof Content.SourcePage shown && !shown.look().redactions().isEmpty();
                remark.setText(drawn.missing() > 0
                        ? Words.of(redacted ? "reader.redactedWithout" : "reader.picturesMissing", drawn.missing()) : "");
            }
            case PagePictures.Result.Failed failed -> {
                page.clear();
                remark.setText("");
                trouble.setText(failed.message().isEmpty() ? Words.of("reader.notDrawn") : failed.message());
            }
        }
        Controls.show(trouble, result instanceof PagePictures.Result.Failed);
        Controls.show(remark, !remark.getText().isEmpty());
    }

    /** {@return what a leaf is, in words, such as "Defence, page 3 of 7"} */
    private String describe(Plan plan, Leaf leaf) {
        return switch (leaf.content()) {
            case Content.Cover c -> Words.of("leaf.cover");
            case Content.IndexSheet i -> Words.of("leaf.index", i.sheet() + 1, plan.indexSheets().size());
            case Content.SectionTitle s -> Words.of("leaf.section", s.label(), s.title());
            case Content.Blank b ->
                    Words.of(leaf.key().isPresent() ? "leaf.blankIn" : "leaf.blank", title(plan.entry(b.document())));
            case Content.Divider d -> Words.of("leaf.divider", d.title());
            case Content.TabSheet t -> t.title();
            case Content.Slip s -> inDocument(plan, leaf, s.document());
            case Content.Withheld w -> inDocument(plan, leaf, w.document());
            case Content.FileSheet f -> inDocument(plan, leaf, f.document());
            case Content.FrontSheet f -> inDocument(plan, leaf, f.document());
            case Content.SourcePage s -> inDocument(plan, leaf, s.document());
        };
    }

    private static String inDocument(Plan plan, Leaf leaf, EntryId document) {
        Optional<PlannedEntry> entry = plan.entry(document);
        PlannedEntry.Span span = entry.map(PlannedEntry::span).orElse(new PlannedEntry.Span(leaf.index(), leaf.index(), "", ""));
        return Words.of("leaf.source", title(entry), leaf.index() - span.first() + 1, span.count());
    }

    private static String title(Optional<PlannedEntry> entry) {
        return entry.map(PlannedEntry::title).orElse("");
    }
}
