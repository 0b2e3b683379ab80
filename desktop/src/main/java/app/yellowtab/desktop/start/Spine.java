package app.yellowtab.desktop.start;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.keep.Recents;
import app.yellowtab.model.entry.DocumentDate;
import javafx.geometry.Pos;
import javafx.scene.Group;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** A bundle as its file stands on the shelf: its spine, with what is written on it. */
final class Spine extends Button {
    private static final double WIDTH = 78;
    private static final double HEIGHT = 290;
    /** How long what is written along the spine may be, in pixels. */
    private static final double LENGTH = 190;
    /** Two lines of it. */
    private static final double MOST_HIGH = 42;

    private Spine(Runnable action, String spoken) {
        setOnAction(event -> action.run());
        setAccessibleText(spoken);
        setMinSize(WIDTH, HEIGHT);
        setMaxSize(WIDTH, HEIGHT);
        getStyleClass().add(Styles.SPINE);
    }

    /** {@return the spine of a bundle; pressed, it does something} */
    static Spine of(Recents.Recent recent, Runnable action) {
        String worked = recent.worked().map(day -> new DocumentDate.Day(day).shown()).orElse("");
        String pages = recent.pages() > 0 ? Words.of("start.pages", recent.pages()) : "";
        Spine spine = new Spine(action, Words.of("start.spine", recent.title(), recent.parties(), pages, worked));
        Region tab = new Region();
        tab.getStyleClass().add(Styles.SPINE_TAB);
        tab.setMinSize(30, 8);
        tab.setMaxSize(30, 8);
        VBox below = new VBox(Controls.label(pages, Styles.SMALL), Controls.label(worked, Styles.SMALL));
        below.setAlignment(Pos.CENTER);
        VBox all = new VBox(8, tab,
                along(Controls.label(recent.parties(), Styles.SPINE_PARTIES), Controls.label(recent.title(), Styles.SPINE_TITLE)),
                below);
        all.setAlignment(Pos.CENTER);
        spine.setGraphic(all);
        spine.setTooltip(new Tooltip(
                recent.title() + (recent.parties().isEmpty() ? "" : "\n" + recent.parties()) + "\n" + recent.folder()));
        return spine;
    }

    /** {@return the spine of a bundle that is not there yet} */
    static Spine empty(Runnable action) {
        Spine spine = new Spine(action, Words.of("start.new"));
        spine.setId("start-empty");
        spine.getStyleClass().add(Styles.EMPTY_SPINE);
        spine.setGraphic(along(Controls.label(Words.of("start.new"), Styles.SPINE_TITLE)));
        return spine;
    }

    /** {@return words that are read from the foot of the spine to its head} */
    private static Group along(Label... words) {
        VBox lines = new VBox(2, words);
        lines.setAlignment(Pos.CENTER_LEFT);
        for (Label line : words) {
            line.setMaxWidth(LENGTH);
            line.setWrapText(true);
            line.setMaxHeight(MOST_HIGH);
        }
        lines.setMinWidth(LENGTH);
        lines.setMaxWidth(LENGTH);
        lines.setRotate(-90);
        return new Group(lines);
    }
}
