package app.yellowtab.desktop.produce;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Comments;
import app.yellowtab.model.FromSources;
import app.yellowtab.model.Separators;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import javafx.geometry.Insets;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.RadioButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Pane;
import javafx.scene.layout.VBox;

/** What the user decides of a bundle before it is produced: pages of our own, and what comes over from the files. */
final class Choices extends VBox {
    private static final List<Levels> LEVELS = Stream.of(FromSources.ALL_LEVELS, 3, 2, 1, 0).map(Levels::new).toList();

    private final Workspace workspace;
    private final CheckBox cover = new CheckBox(Words.of("produce.cover"));
    private final CheckBox agreement = new CheckBox(Words.of("produce.agreement"));
    private final Map<Separators, RadioButton> separators;
    private final Map<Comments, RadioButton> comments;
    private final ChoiceBox<Levels> levels = new ChoiceBox<>();
    private boolean showing;

    Choices(Workspace workspace) {
        super(8);
        this.workspace = workspace;
        cover.setId("produce-cover");
        cover.setOnAction(event -> edit(bundle -> bundle.withLayout(bundle.layout().withCover(cover.isSelected()))));
        agreement.setId("produce-agreement");
        agreement.setOnAction(event -> edit(bundle -> bundle.withLayout(bundle.layout().withAgreement(agreement.isSelected()))));
        FlowPane between = new FlowPane(16, 8);
        separators = radios(Separators.class, "separators", between,
                kind -> edit(bundle -> bundle.withLayout(bundle.layout().withSeparators(kind))));
        FlowPane marks = new FlowPane(16, 8);
        comments = radios(Comments.class, "comments", marks,
                kind -> edit(bundle -> bundle.withFromSources(new FromSources(kind, bundle.fromSources().bookmarkLevels()))));
        levels.setId("produce-levels");
        levels.setOnAction(event -> {
            Levels chosen = levels.getValue();
            if (chosen != null)
                edit(bundle -> bundle.withFromSources(new FromSources(bundle.fromSources().comments(), chosen.most())));
        });
        Label bookmarks = Controls.label(Words.of("produce.levels"), Styles.SMALL);
        bookmarks.setLabelFor(levels);
        FlowPane row = new FlowPane(8, 4, bookmarks, levels);
        Label files = Controls.label(Words.of("produce.files"), Styles.FORM_LABEL);
        VBox.setMargin(files, new Insets(8, 0, 0, 0));
        getChildren().addAll(Controls.label(Words.of("produce.pages"), Styles.FORM_LABEL), cover, agreement,
                Controls.label(Words.of("produce.separators"), Styles.SMALL), between,
                files, Controls.label(Words.of("produce.comments"), Styles.SMALL), marks, row);
    }

    private static <E extends Enum<E>> Map<E, RadioButton> radios(Class<E> kinds, String name, Pane into, Consumer<E> chosen) {
        Map<E, RadioButton> all = new EnumMap<>(kinds);
        ToggleGroup group = new ToggleGroup();
        for (E kind : Arrays.asList(kinds.getEnumConstants())) {
            RadioButton choice = new RadioButton(Words.of("produce." + name + "." + kind));
            choice.setId(name + "-" + kind);
            choice.setToggleGroup(group);
            choice.setOnAction(event -> chosen.accept(kind));
            all.put(kind, choice);
            into.getChildren().add(choice);
        }
        return all;
    }

    private void edit(UnaryOperator<Bundle> change) {
        if (!showing) workspace.edit(change);
    }

    /** Shows what the bundle says. */
    void show(Bundle bundle) {
        showing = true;
        cover.setSelected(bundle.layout().cover());
        agreement.setSelected(bundle.layout().agreement());
        separators.forEach((kind, choice) -> choice.setSelected(kind == bundle.layout().separators()));
        comments.forEach((kind, choice) -> choice.setSelected(kind == bundle.fromSources().comments()));
        Levels level = new Levels(bundle.fromSources().bookmarkLevels());
        List<Levels> offered = new ArrayList<>(LEVELS);
        if (!offered.contains(level)) offered.add(level);
        // What is in it already keeps its width.
        if (!levels.getItems().equals(offered)) levels.getItems().setAll(offered);
        levels.setValue(level);
        showing = false;
    }

    /** How many levels of bookmarks come over, as the list offers it. */
    private record Levels(int most) {
        @Override
        public String toString() {
            return most == FromSources.ALL_LEVELS ? Words.of("produce.levels.all") : Words.of("produce.levels.some", most);
        }
    }
}
