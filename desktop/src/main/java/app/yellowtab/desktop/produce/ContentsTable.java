package app.yellowtab.desktop.produce;

import app.yellowtab.desktop.work.Controls;
import app.yellowtab.desktop.work.Styles;
import app.yellowtab.desktop.work.Words;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.PlannedEntry;
import app.yellowtab.plan.PlannedEntry.PlannedSection;
import java.util.List;
import javafx.geometry.HPos;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;

/** What the bundle will consist of, part by part, with its page numbers. */
final class ContentsTable extends GridPane {
    private static final int MOST_SECTIONS = 10;

    ContentsTable() {
        super(12, 3);
        ColumnConstraints label = new ColumnConstraints(28);
        ColumnConstraints title = new ColumnConstraints();
        title.setHgrow(Priority.ALWAYS);
        ColumnConstraints pages = new ColumnConstraints();
        pages.setHalignment(HPos.RIGHT);
        getColumnConstraints().addAll(label, title, pages);
        getStyleClass().add(Styles.CONTENTS);
    }

    void show(Plan plan) {
        getChildren().clear();
        int index = plan.coverSheets().size() + 1;
        if (index == 2) row("", Words.of("leaf.cover"), 1, 1);
        int afterIndex = index + plan.indexSheets().size();
        row("", Words.of("produce.index"), index, afterIndex - 1);
        List<PlannedSection> sections = plan.entries().stream().filter(PlannedSection.class::isInstance)
                .map(PlannedSection.class::cast).filter(section -> section.depth() == 0).toList();
        int firstSection = sections.isEmpty() ? plan.pageCount() + 1 : sections.getFirst().firstPage();
        if (firstSection > afterIndex) row("", Words.of("produce.noSection", documentsOutside(plan)), afterIndex, firstSection - 1);
        for (PlannedSection section : sections.stream().limit(MOST_SECTIONS).toList()) {
            row(section.label(), section.title(), section.firstPage(), section.lastPage());
        }
        int more = sections.size() - MOST_SECTIONS;
        if (more > 0) row("", Words.of("produce.moreSections", more), sections.get(MOST_SECTIONS).firstPage(), plan.pageCount());
    }

    private static long documentsOutside(Plan plan) {
        return plan.entries().stream().filter(entry -> entry instanceof PlannedEntry.PlannedDocument && entry.depth() == 0).count();
    }

    private void row(String label, String title, int first, int last) {
        Label name = Controls.label(title, Styles.SMALL);
        name.setMinWidth(0);
        addRow(getRowCount(), Controls.label(label, Styles.SMALL), name,
                Controls.label(first == last ? String.valueOf(first) : first + "–" + last, Styles.SMALL));
    }
}
