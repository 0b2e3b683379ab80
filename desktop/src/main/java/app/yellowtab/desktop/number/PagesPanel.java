package app.yellowtab.desktop.number;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.InWords;
import app.yellowtab.desktop.look.Segments;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.mark.NumberState;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.leaf.PlannedEntry.PlannedDocument;
import app.yellowtab.leaf.PlannedEntry.PlannedSection;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.number.MarkedPages;
import app.yellowtab.model.number.PageKind;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.control.cell.CheckBoxListCell;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** Which pages bear the chosen marks. */
final class PagesPanel extends VBox {
    private static final double LIST_HEIGHT = 190;

    /** How pages are named. */
    private enum By { ALL, NUMBERS, ENTRIES, FILES }

    /** Something that can be chosen; one of the two is there. */
    private record Choice(Optional<EntryId> entry, Optional<SourceId> source, String words) {}

    private final NumberDesk desk;
    private final Workspace workspace;
    private final Segments<By> by;
    private final TextField numbers = new TextField();
    private final ListView<Choice> list = new ListView<>();
    private final Map<Choice, BooleanProperty> ticked = new HashMap<>();
    private final Map<PageKind, CheckBox> kinds = new EnumMap<>(PageKind.class);
    private final VBox left;
    private By shown = By.ALL;
    private boolean showing;

    PagesPanel(NumberDesk desk, Workspace workspace) {
        super(10);
        this.desk = desk;
        this.workspace = workspace;
        by = new Segments<>("number-by", List.of(By.values()), each -> Words.of("number.by." + each.name()), this::choose);
        numbers.setId("number-numbers");
        numbers.setPromptText(Words.of("number.numbersPrompt"));
        numbers.setOnAction(event -> desk.pages(withNumbers()));
        numbers.focusedProperty().addListener((value, before, focused) -> {
            if (!focused && !showing && shown == By.NUMBERS) desk.pages(withNumbers());
        });
        list.setId("number-entries");
        list.setPrefHeight(LIST_HEIGHT);
        list.setCellFactory(CheckBoxListCell.forListView(this::isTicked, new InWords<>(choice -> choice.words())));
        FlowPane boxes = new FlowPane(14, 6);
        for (PageKind kind : PageKind.values()) {
            CheckBox box = new CheckBox(Words.of("number.not." + kind.name()));
            box.setId("number-not-" + kind.name());
            box.setOnAction(event -> desk.set(setting -> setting.withPages(setting.pages().without(kind, box.isSelected()))));
            kinds.put(kind, box);
            boxes.getChildren().add(box);
        }
        left = new VBox(6, Controls.label(Words.of("number.not"), Styles.FORM_LABEL), boxes);
        getChildren().addAll(by, numbers, list, left);
    }

    private MarkedPages pages() {
        return desk.stateProperty().get().setting().pages();
    }

    private MarkedPages withNumbers() {
        return new MarkedPages(numbers.getText().strip(), List.of(), List.of(), pages().not());
    }

    private void choose(By chosen) {
        shown = chosen;
        if (chosen == By.ALL) desk.pages(pages().all());
        show(desk.stateProperty().get());
    }

    private BooleanProperty isTicked(Choice choice) {
        return ticked.computeIfAbsent(choice, its -> {
            BooleanProperty property = new SimpleBooleanProperty(isNamed(its));
            property.addListener((value, before, now) -> {
                if (!showing) tick(its, now);
            });
            return property;
        });
    }

    private boolean isNamed(Choice choice) {
        return choice.entry().filter(pages().entries()::contains).isPresent()
                || choice.source().filter(pages().sources()::contains).isPresent();
    }

    private void tick(Choice choice, boolean on) {
        List<EntryId> entries = new ArrayList<>(shown == By.ENTRIES ? pages().entries() : List.of());
        List<SourceId> sources = new ArrayList<>(shown == By.FILES ? pages().sources() : List.of());
        choice.entry().ifPresent(entries::remove);
        choice.source().ifPresent(sources::remove);
        if (on) choice.entry().ifPresent(entries::add);
        if (on) choice.source().ifPresent(sources::add);
        desk.pages(new MarkedPages("", entries, sources, pages().not()));
    }

    void show(NumberState state) {
        showing = true;
        MarkedPages pages = state.setting().pages();
        if (!pages.sources().isEmpty()) shown = By.FILES;
        else if (!pages.entries().isEmpty()) shown = By.ENTRIES;
        else if (!pages.numbers().isBlank()) shown = By.NUMBERS;
        by.choose(shown);
        Controls.show(numbers, shown == By.NUMBERS);
        Controls.show(list, shown == By.ENTRIES || shown == By.FILES);
        if (!numbers.isFocused()) numbers.setText(pages.numbers());
        if (list.isManaged()) choices(shown == By.FILES ? files() : entries());
        kinds.forEach((kind, box) -> box.setSelected(pages.not().contains(kind)));
        Controls.show(left, state.series().isEmpty());
        showing = false;
    }

    /** Shows the ways of naming pages anew: of another series, another may be meant. */
    void begin() {
        shown = By.ALL;
        ticked.clear();
        list.getItems().clear();
    }

    private void choices(List<Choice> all) {
        if (!list.getItems().equals(all)) list.getItems().setAll(all);
        ticked.forEach((choice, property) -> property.set(isNamed(choice)));
    }

    private List<Choice> entries() {
        List<Choice> all = new ArrayList<>();
        for (PlannedEntry entry : workspace.plan().entries()) {
            String indent = "   ".repeat(entry.depth());
            all.add(new Choice(Optional.of(entry.id()), Optional.empty(), switch (entry) {
                case PlannedSection section -> indent + section.label() + ". " + section.title();
                case PlannedDocument document -> indent + (document.tab() == 0 ? "" : document.tab() + ". ") + document.title();
            }));
        }
        return all;
    }

    private List<Choice> files() {
        Set<SourceId> unplaced = Set.copyOf(workspace.bundle().unplaced().stream().map(Source::id).toList());
        return workspace.bundle().sources().stream().filter(source -> source.pageCount() > 0 && !unplaced.contains(source.id()))
                .map(source -> new Choice(Optional.empty(), Optional.of(source.id()), source.fileName())).toList();
    }
}
