package app.yellowtab.desktop.redact;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.find.Recurrences;
import app.yellowtab.find.Recurrences.Recurrence;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import javafx.scene.text.Text;
import javafx.scene.text.TextFlow;

/** The same words on other pages, those that are alike beside each other, each to be redacted or left for a reason. */
final class RepeatList extends VBox {
    /** So many places are shown at a time. */
    private static final int MOST = 20;

    private final Leaks leaks;
    private final Label title = Controls.label("", Styles.FORM_LABEL);
    private final TextField reason = new TextField();
    private final Label needsReason = Controls.label(Words.of("repeats.needsReason"), Styles.WRONG);
    private final VBox groups = new VBox(16);
    private final Label decided = Controls.label("", Styles.SMALL);
    private final FlowPane decidedLine;

    /** Words, and the page on which they are redacted. */
    private record Alike(String words, String there) {}

    RepeatList(Leaks leaks) {
        super(8);
        this.leaks = leaks;
        setId("repeats");
        reason.setId("repeats-reason");
        reason.setPromptText(Words.of("repeats.reason"));
        reason.setAccessibleText(Words.of("repeats.reason"));
        reason.textProperty().subscribe(text -> Controls.show(needsReason, false));
        decidedLine = new FlowPane(8, 4, decided, quiet("repeats.anew", leaks::decideAnew));
        getChildren().addAll(title, reason, needsReason, groups, decidedLine);
    }

    /** Shows what is open, and how much is decided. */
    void show(Recurrences.Found found) {
        List<Recurrence> open = found.open();
        groups.getChildren().clear();
        Map<Alike, List<Recurrence>> alike = new LinkedHashMap<>();
        for (Recurrence one : open) alike.computeIfAbsent(new Alike(one.words().toLowerCase(Locale.ROOT), one.there()),
                words -> new ArrayList<>()).add(one);
        int shown = 0;
        for (List<Recurrence> its : alike.values()) {
            if (shown >= MOST) break;
            groups.getChildren().add(group(its, MOST - shown));
            shown += its.size();
        }
        if (open.size() > MOST)
            groups.getChildren().add(Controls.label(Words.of("leaks.more", open.size() - MOST), Styles.SMALL));
        title.setText(Words.of("repeats.title", open.size()));
        int left = (int) found.all().stream().filter(Recurrence::isDecided).count();
        decided.setText(Words.of("repeats.decided", left));
        Controls.show(decidedLine, left > 0);
        for (Node part : List.of(title, reason, groups)) Controls.show(part, !open.isEmpty());
        Controls.show(this, !found.all().isEmpty());
    }

    private VBox group(List<Recurrence> its, int room) {
        Recurrence first = its.getFirst();
        VBox group = new VBox(8, Controls.paragraph(Words.of("repeats.group", first.words(), first.there()), Styles.NOTICE));
        if (its.size() > 1) group.getChildren().add(answers(its, "repeats.redactAll", "repeats.leaveAll"));
        for (Recurrence one : its.stream().limit(room).toList()) {
            Text words = new Text(one.words());
            words.getStyleClass().add(Styles.REPEATED);
            TextFlow around = new TextFlow(plain(one.before().isEmpty() ? "" : "…" + one.before() + " "), words,
                    plain(one.after().isEmpty() ? "" : " " + one.after() + "…"));
            FlowPane line = answers(List.of(one), "repeats.redact", "repeats.leave");
            Button page = quiet("repeats.show", () -> leaks.show(one));
            page.setText(Words.of("repeats.page", one.label()));
            line.getChildren().addFirst(page);
            group.getChildren().add(new VBox(4, around, line));
        }
        return group;
    }

    private FlowPane answers(List<Recurrence> its, String redact, String leave) {
        Button all = Controls.button(redact, () -> leaks.redact(its));
        Button none = Controls.button(leave, () -> leave(its));
        all.setText(Words.of(redact, its.size()));
        none.setText(Words.of(leave, its.size()));
        return new FlowPane(8, 4, all, none);
    }

    /** What is left to be seen needs a reason. */
    private void leave(List<Recurrence> its) {
        if (!reason.getText().isBlank()) {
            leaks.leave(its, reason.getText().strip());
            return;
        }
        Controls.show(needsReason, true);
        reason.requestFocus();
    }

    private static Text plain(String words) {
        Text text = new Text(words);
        text.getStyleClass().add(Styles.AROUND_REPEATED);
        return text;
    }

    private static Button quiet(String key, Runnable action) {
        Button button = Controls.button(key, action);
        button.getStyleClass().add(Styles.QUIET);
        return button;
    }
}
