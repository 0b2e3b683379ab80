package app.yellowtab.desktop.redact;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.find.RedactedWords;
import app.yellowtab.find.RedactedWords.Leak;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;

/** Titles, bookmarks and pages that still say what is redacted, each with what helps; then the same words on other pages. */
public final class LeakList extends VBox {
    private static final int MOST = 6;

    private final Leaks leaks;
    private final RepeatList repeats;
    private final VBox others = new VBox(8);
    private final Subscription subscription;

    public LeakList(Leaks leaks) {
        super(16);
        this.leaks = leaks;
        this.repeats = new RepeatList(leaks);
        setId("leaks");
        getChildren().addAll(others, repeats);
        subscription = leaks.foundProperty().subscribe(this::show);
    }

    public void dispose() {
        subscription.unsubscribe();
    }

    private void show(RedactedWords.Found found) {
        List<Leak> all = found.leaks();
        others.getChildren().clear();
        if (!all.isEmpty()) others.getChildren().add(Controls.label(Words.of("leaks.title"), Styles.FORM_LABEL));
        for (Leak leak : all.stream().limit(MOST).toList()) {
            VBox one = new VBox(4, Controls.paragraph(leak.finding().message(), Styles.NOTICE));
            if (leak.fix().isPresent()) {
                Button mend = Controls.button("leaks." + leak.finding().code().name(), () -> leaks.mend(leak));
                one.getChildren().add(mend);
            }
            others.getChildren().add(one);
        }
        if (all.size() > MOST) others.getChildren().add(Controls.label(Words.of("leaks.more", all.size() - MOST), Styles.SMALL));
        found.remarks().stream().limit(MOST).forEach(
                finding -> others.getChildren().add(Controls.paragraph(finding.message(), Styles.SMALL)));
        repeats.show(found.recurrences());
        Controls.show(others, !others.getChildren().isEmpty());
        Controls.show(this, others.isManaged() || repeats.isManaged());
    }
}
