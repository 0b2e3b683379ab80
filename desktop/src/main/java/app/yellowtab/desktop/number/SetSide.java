package app.yellowtab.desktop.number;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.FileDialogs;
import app.yellowtab.desktop.look.Segments;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.mark.NumberState;
import app.yellowtab.desktop.mark.PresetStore;
import app.yellowtab.desktop.work.KeptMenu;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.number.NumberPreset;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.number.SeriesId;
import app.yellowtab.plan.Marking;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;

/** All numbers and lines as sentences, and what belongs to the one that is chosen. */
final class SetSide extends VBox {
    /** What of the chosen one is set. */
    private enum Part { WHAT, WHERE, LOOK, PAGES }

    private final NumberDesk desk;
    private final Workspace workspace;
    private final VBox lines = new VBox(4);
    private final ToggleGroup chosen = new ToggleGroup();
    private final BundlePanel bundle;
    private final SeriesPanel series;
    private final LinePanel line;
    private final WherePanel where;
    private final LookPanel look;
    private final PagesPanel pages;
    private final Segments<Part> parts;
    private final StackPane part = new StackPane();
    private final Button takeOff;
    private final Label said = Controls.paragraph("", Styles.NOTICE);
    private final Subscription subscription;
    private Part shown = Part.WHAT;
    private SeriesId shownOf = Marking.BUNDLE;

    SetSide(NumberDesk desk, Workspace workspace, FileDialogs dialogs, PresetStore presets, Runnable loose) {
        super(12);
        this.desk = desk;
        this.workspace = workspace;
        this.bundle = new BundlePanel(desk);
        this.series = new SeriesPanel(desk, workspace, dialogs);
        this.line = new LinePanel(desk);
        this.where = new WherePanel(desk);
        this.look = new LookPanel(desk, workspace);
        this.pages = new PagesPanel(desk, workspace);
        said.setId("number-said");
        takeOff = Controls.button("number.takeOff", desk::takeOff);
        HBox add = new HBox(8, Controls.button("number.add", desk::add), Controls.button("line.add", desk::addLine),
                Controls.spring(), takeOff);
        parts = new Segments<>("number-part", List.of(Part.values()), each -> Words.of("number.part." + each.name()), now -> {
            shown = now;
            show(desk.stateProperty().get());
        });
        part.getStyleClass().add(Styles.NUMBER_PART);
        VBox below = new VBox(10, parts, part, said);
        ScrollPane scroll = new ScrollPane(below);
        scroll.setFitToWidth(true);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        Region foot = Controls.spring();
        KeptMenu<NumberPreset> kept = new KeptMenu<>(workspace.jobs(), dialogs, workspace.folder().path(), "number.kept", presets,
                () -> Optional.of(NumberPreset.of(workspace.bundle())), desk::use);
        getChildren().addAll(lines, add, scroll, new HBox(8, kept, foot, Controls.button("number.loose", loose)));
        subscription = Subscription.combine(desk.stateProperty().subscribe(this::show),
                workspace.onLeaf(leaf -> series.showAsked()), desk.saidProperty().subscribe(words -> {
                    said.setText(words);
                    Controls.show(said, !words.isEmpty());
                }));
    }

    void dispose() {
        subscription.unsubscribe();
    }

    /** Puts the chosen marks somewhere. */
    void put(Spot spot) {
        where.put(spot);
    }

    /** Shows the sentences; buttons that are there get other words, which is quicker than making them anew while one types. */
    private void showLines(List<NumberState.Sentence> sentences, SeriesId which) {
        while (lines.getChildren().size() > sentences.size()) lines.getChildren().removeLast();
        while (lines.getChildren().size() < sentences.size()) {
            ToggleButton button = new ToggleButton();
            button.setMnemonicParsing(false);
            button.setToggleGroup(chosen);
            button.setMaxWidth(Double.MAX_VALUE);
            button.setWrapText(true);
            button.getStyleClass().add(Styles.SERIES_LINE);
            lines.getChildren().add(button);
        }
        for (int i = 0; i < sentences.size(); i++) {
            NumberState.Sentence one = sentences.get(i);
            ToggleButton button = (ToggleButton) lines.getChildren().get(i);
            button.setText(one.words());
            button.setSelected(one.id().equals(which));
            button.setOnAction(event -> {
                desk.choose(one.id());
                // A press on the one that is chosen leaves it so.
                button.setSelected(true);
            });
        }
    }

    private void show(NumberState state) {
        showLines(state.lines(), state.chosen());
        if (!state.chosen().equals(shownOf)) pages.begin();
        shownOf = state.chosen();
        Controls.show(takeOff, !state.isBundle());
        parts.choose(shown);
        Node now = switch (shown) {
            case WHAT -> state.isBundle() ? bundle : state.series().isPresent() ? series : line;
            case WHERE -> where;
            case LOOK -> look;
            case PAGES -> pages;
        };
        if (!part.getChildren().equals(List.of(now))) part.getChildren().setAll(now);
        bundle.show(state);
        series.show(state, workspace.bundle().numbering().register());
        line.show(state);
        where.show(state);
        look.show(state);
        if (shown == Part.PAGES) pages.show(state);
    }
}
