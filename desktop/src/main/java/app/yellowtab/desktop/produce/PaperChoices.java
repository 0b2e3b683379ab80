package app.yellowtab.desktop.produce;

import app.yellowtab.deliver.BundleSets;
import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.InWords;
import app.yellowtab.desktop.look.Segments;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.PaperSet;
import app.yellowtab.model.PaperSet.Beginning;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.sets.Binder;
import app.yellowtab.sets.Output;
import java.time.LocalDateTime;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.IntConsumer;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.Spinner;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Which sets are produced, and what only the one has that is printed. */
final class PaperChoices extends VBox {
    private final Workspace workspace;
    private final Segments<BundleSets> sets;
    private final CheckBox twoSided = new CheckBox(Words.of("paper.twoSided"));
    private final ChoiceBox<Beginning> begins = choice("paper.begins", beginning -> edit(set -> set.withBegins(beginning)));
    private final ChoiceBox<Beginning> tabs = choice("paper.tabs", beginning -> edit(set -> set.withTabs(beginning)));
    private final TextField note = new TextField();
    private final Spinner<Integer> binder = new Spinner<>(0, PaperSet.MOST_BINDER_SHEETS, 0, 50);
    private final Spinner<Integer> copies = new Spinner<>(1, PaperSet.MOST_COPIES, 1);
    private final EntryTicks list = new EntryTicks("paper-singleSided", entries -> edit(set -> set.withSingleSided(entries)));
    private final Label sum = Controls.paragraph("", Styles.SMALL);
    private final VBox paper;
    private BundleSets chosen = BundleSets.SCREEN;
    private boolean showing;

    PaperChoices(Workspace workspace) {
        super(8);
        this.workspace = workspace;
        sets = new Segments<>("paper-sets", List.of(BundleSets.values()), each -> Words.of("paper.sets." + each.name()),
                this::choose);
        sets.choose(chosen);
        twoSided.setId("paper-twoSided");
        twoSided.setOnAction(event -> edit(set -> set.withTwoSided(twoSided.isSelected())));
        note.setId("paper-note");
        note.setPromptText(Words.of("paper.notePrompt"));
        note.setAccessibleText(Words.of("paper.notePrompt"));
        note.setPrefColumnCount(20);
        note.setOnAction(event -> edit(set -> set.withNote(note.getText().strip())));
        note.focusedProperty().addListener((value, before, focused) -> {
            if (!focused && !note.getText().strip().equals(workspace.bundle().layout().paper().note()))
                edit(set -> set.withNote(note.getText().strip()));
        });
        spinner(binder, "paper-binder", sheets -> edit(set -> set.withBinderSheets(sheets)));
        spinner(copies, "paper-copies", count -> edit(set -> set.withCopies(count)));
        sum.setId("paper-sum");
        paper = new VBox(8, twoSided, row(new Label(Words.of("paper.begins")), begins),
                row(new Label(Words.of("paper.tabs")), tabs, note), Controls.label(Words.of("paper.singleSided"), Styles.SMALL),
                list,
                row(new Label(Words.of("paper.binder")), binder, new Label(Words.of("paper.copies")), copies), sum);
        Controls.show(paper, false);
        getChildren().addAll(Controls.label(Words.of("paper.sets"), Styles.FORM_LABEL), sets, paper);
    }

    /** {@return which sets are to be produced} */
    BundleSets sets() {
        return chosen;
    }

    private void choose(BundleSets wanted) {
        chosen = wanted;
        Controls.show(paper, wanted != BundleSets.SCREEN);
        show(workspace.bundle());
    }

    private static HBox row(Node... nodes) {
        HBox row = new HBox(8, nodes);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private ChoiceBox<Beginning> choice(String key, Consumer<Beginning> take) {
        ChoiceBox<Beginning> choice = new ChoiceBox<>();
        choice.setId(key.replace('.', '-'));
        choice.getItems().setAll(Beginning.values());
        choice.setConverter(new InWords<>(value -> Words.of(key + "." + value.name())));
        choice.setOnAction(event -> {
            if (!showing && choice.getValue() != null) take.accept(choice.getValue());
        });
        return choice;
    }

    private void spinner(Spinner<Integer> spinner, String id, IntConsumer take) {
        spinner.setId(id);
        spinner.setEditable(true);
        Controls.takeEnter(spinner);
        spinner.setPrefWidth(90);
        spinner.valueProperty().addListener((value, before, now) -> {
            if (!showing && now != null) take.accept(now);
        });
    }

    private void edit(UnaryOperator<PaperSet> change) {
        workspace.edit(bundle -> bundle.withLayout(bundle.layout().withPaper(change.apply(bundle.layout().paper()))));
    }

    /** Shows what the bundle says. */
    void show(Bundle bundle) {
        if (chosen == BundleSets.SCREEN) return;
        showing = true;
        PaperSet set = bundle.layout().paper();
        twoSided.setSelected(set.twoSided());
        begins.setValue(set.begins());
        begins.setDisable(!set.twoSided());
        list.setDisable(!set.twoSided());
        tabs.setValue(set.tabs());
        if (!note.isFocused()) note.setText(set.note());
        Controls.show(note, set.tabs() != Beginning.NOTHING);
        binder.getValueFactory().setValue(set.binderSheets());
        copies.getValueFactory().setValue(set.copies());
        list.show(workspace.plan().entries(), set.singleSided());
        showing = false;
        workspace.jobs().quietly(() -> sheets(bundle), words -> {
            if (workspace.bundle() == bundle) sum.setText(words);
        });
    }

    private static String sheets(Bundle bundle) {
        Plan plan = Planner.paper(bundle, LocalDateTime.now());
        List<Binder> binders =
                Binder.of(plan, Output.paper(plan), bundle.layout().paper().twoSided(), bundle.layout().paper().binderSheets());
        return Words.of("paper.sum", plan.pageCount(), binders.stream().mapToInt(Binder::sheets).sum(), binders.size());
    }
}
