package app.yellowtab.desktop.produce;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.leaf.PlannedEntry.PlannedSection;
import app.yellowtab.plan.Plan;
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
        int index = plan.coverSheets().size();
        if (index == 1) row("", Words.of("leaf.cover"), numbers(plan, 0, 0));
        int afterIndex = index + plan.indexSheets().size();
        row("", Words.of("produce.index"), numbers(plan, index, afterIndex - 1));
        List<PlannedSection> sections = plan.entries().stream().filter(PlannedSection.class::isInstance)
                .map(PlannedSection.class::cast).filter(section -> section.depth() == 0).toList();
        int firstSection = sections.isEmpty() ? plan.pageCount() : sections.getFirst().span().first();
        if (firstSection > afterIndex)
            row("", Words.of("produce.noSection", documentsOutside(plan)), numbers(plan, afterIndex, firstSection - 1));
        for (PlannedSection section : sections.stream().limit(MOST_SECTIONS).toList())
            row(section.label(), section.title(), section.span().shown());
        int more = sections.size() - MOST_SECTIONS;
        if (more > 0) row("", Words.of("produce.moreSections", more),
                numbers(plan, sections.get(MOST_SECTIONS).span().first(), plan.pageCount() - 1));
        if (!plan.enclosures().isEmpty())
            row("", Words.of("produce.beside", plan.enclosures().size(), plan.enclosures().getFirst().name()), "");
    }

    /** {@return the numbers on leaves, by their indexes, from the first to the last} */
    private static String numbers(Plan plan, int first, int last) {
        String from = plan.leaf(first).label();
        String to = plan.leaf(last).label();
        return from.equals(to) ? from : from + "–" + to;
    }

    private static long documentsOutside(Plan plan) {
        return plan.entries().stream().filter(entry -> entry instanceof PlannedEntry.PlannedDocument && entry.depth() == 0)
                .count();
    }

    private void row(String label, String title, String numbers) {
        Label name = Controls.label(title, Styles.SMALL);
        name.setMinWidth(0);
        addRow(getRowCount(), Controls.label(label, Styles.SMALL), name,
                Controls.label(numbers, Styles.SMALL));
    }
}
