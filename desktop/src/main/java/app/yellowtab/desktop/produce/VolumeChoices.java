package app.yellowtab.desktop.produce;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.InWords;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.VolumeEdits;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.leaf.PlannedEntry.PlannedSection;
import app.yellowtab.leaf.PlannedVolume;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Volumes;
import app.yellowtab.model.Volumes.Division;
import java.util.List;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.Spinner;
import javafx.scene.control.SpinnerValueFactory;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** How the set for the screen is divided into files. */
final class VolumeChoices extends VBox {
    private static final double CHOICE_WIDTH = 300;
    private static final int MB = 1_000_000;
    private static final int MOST = 100_000;
    private static final int USUAL_MB = 20;
    private static final int USUAL_PAGES = 400;
    /** More volumes than this are counted, and not listed. */
    private static final int MOST_LISTED = 6;

    private final Workspace workspace;
    private final ChoiceBox<Division> by = new ChoiceBox<>();
    private final Spinner<Integer> most = new Spinner<>(new SpinnerValueFactory.IntegerSpinnerValueFactory(1, MOST, USUAL_MB));
    private final Label unit = new Label();
    private final CheckBox cutLong = new CheckBox(Words.of("volumes.cutLong"));
    private final EntryTicks sections = new EntryTicks("volumes-sections", those -> edit(volumes -> volumes.withSections(those)));
    private final Label where = Controls.label(Words.of("volumes.sections"), Styles.SMALL);
    private final Label sum = Controls.paragraph("", Styles.SMALL);
    private final Button anew = Controls.button("volumes.anew", () -> edit(volumes -> volumes.withKept(List.of())));
    private boolean showing;

    VolumeChoices(Workspace workspace) {
        super(8);
        this.workspace = workspace;
        by.setId("volumes-by");
        by.setPrefWidth(CHOICE_WIDTH);
        by.setMinWidth(CHOICE_WIDTH);
        by.getItems().setAll(Division.values());
        by.setConverter(new InWords<>(value -> Words.of("volumes.by." + value.name())));
        by.setOnAction(event -> {
            if (!showing && by.getValue() != null) edit(before -> beginning(by.getValue(), before));
        });
        by.setAccessibleText(Words.of("volumes.title"));
        most.setId("volumes-most");
        most.setAccessibleText(Words.of("volumes.most"));
        most.setEditable(true);
        Controls.takeEnter(most);
        most.setPrefWidth(100);
        most.valueProperty().addListener((value, before, now) -> {
            if (!showing && now != null) edit(volumes -> limited(volumes, now));
        });
        cutLong.setId("volumes-cutLong");
        cutLong.setWrapText(true);
        cutLong.setOnAction(event -> edit(volumes -> volumes.withCutLong(cutLong.isSelected())));
        sum.setId("volumes-sum");
        anew.getStyleClass().add(Styles.QUIET);
        most.setMinWidth(Region.USE_PREF_SIZE);
        unit.setMinWidth(Region.USE_PREF_SIZE);
        HBox limit = new HBox(8, most, unit);
        limit.setAlignment(Pos.CENTER_LEFT);
        // Where there is little room, the number stands below the choice.
        FlowPane row = new FlowPane(8, 8, by, limit);
        row.setRowValignment(VPos.CENTER);
        row.setMinWidth(0);
        row.setPrefWrapLength(0);
        getChildren().addAll(Controls.label(Words.of("volumes.title"), Styles.FORM_LABEL), row, cutLong, where, sections, sum,
                anew);
    }

    private static Volumes beginning(Division division, Volumes before) {
        if (division == before.by()) return before;
        return switch (division) {
            case NOTHING -> Volumes.NONE;
            case SIZE -> Volumes.atMost(division, (long) USUAL_MB * MB).withCutLong(before.cutLong());
            case PAGES -> Volumes.atMost(division, USUAL_PAGES).withCutLong(before.cutLong());
            case SECTIONS, LETTERS -> Volumes.by(division);
        };
    }

    /** Where another limit is asked for, it is divided anew. */
    private static Volumes limited(Volumes volumes, int wanted) {
        if (!isBounded(volumes)) return volumes;
        long limit = volumes.by() == Division.SIZE ? (long) wanted * MB : wanted;
        return limit == volumes.most() ? volumes : Volumes.atMost(volumes.by(), limit).withCutLong(volumes.cutLong());
    }

    private static boolean isBounded(Volumes volumes) {
        return volumes.by() == Division.SIZE || volumes.by() == Division.PAGES;
    }

    private void edit(UnaryOperator<Volumes> change) {
        if (!showing) workspace.edit(bundle -> VolumeEdits.divided(bundle, change.apply(bundle.layout().volumes())));
    }

    /** Shows what the bundle says. */
    void show(Bundle bundle) {
        showing = true;
        Volumes volumes = bundle.layout().volumes();
        by.setValue(volumes.by());
        boolean isBounded = isBounded(volumes);
        Controls.show(most, isBounded);
        Controls.show(unit, isBounded);
        Controls.show(cutLong, isBounded);
        if (isBounded) {
            unit.setText(Words.of("volumes.unit." + volumes.by().name()));
            int limit = (int) (volumes.by() == Division.SIZE ? Math.max(1, volumes.most() / MB) : volumes.most());
            most.getValueFactory().setValue(limit);
        }
        cutLong.setSelected(volumes.cutLong());
        boolean bySections = volumes.by() == Division.SECTIONS;
        Controls.show(where, bySections);
        Controls.show(sections, bySections);
        if (bySections) sections.show(
                workspace.plan().entries().stream().filter(PlannedSection.class::isInstance).map(PlannedEntry.class::cast)
                        .toList(),
                volumes.sections());
        Controls.show(anew, !volumes.kept().isEmpty());
        sum.setText(sum(volumes, workspace.plan().parting().volumes()));
        Controls.show(sum, volumes.by() != Division.NOTHING);
        showing = false;
    }

    private static String sum(Volumes volumes, List<PlannedVolume> planned) {
        if (volumes.by() == Division.SIZE && volumes.kept().isEmpty()) return Words.of("volumes.toMeasure");
        if (planned.isEmpty()) return Words.of("volumes.one");
        if (planned.size() > MOST_LISTED) return Words.of("volumes.many", planned.size());
        return String.join("\n", planned.stream().map(PlannedVolume::words).toList());
    }
}
