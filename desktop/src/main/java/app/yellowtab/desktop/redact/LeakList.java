package app.yellowtab.desktop.redact;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.find.RedactedWords.Leak;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;

/** Titles, bookmarks and pages that still say what is redacted, each with what helps. */
public final class LeakList extends VBox {
    private static final int MOST = 6;

    private final Leaks leaks;
    private final Subscription subscription;

    public LeakList(Leaks leaks) {
        super(8);
        this.leaks = leaks;
        setId("leaks");
        subscription = leaks.foundProperty().subscribe(this::show);
    }

    public void dispose() {
        subscription.unsubscribe();
    }

    private void show(List<Leak> found) {
        getChildren().clear();
        Controls.show(this, !found.isEmpty());
        if (found.isEmpty()) return;
        getChildren().add(Controls.label(Words.of("leaks.title"), Styles.FORM_LABEL));
        for (Leak leak : found.stream().limit(MOST).toList()) {
            VBox one = new VBox(4, Controls.paragraph(leak.finding().message(), Styles.NOTICE));
            if (leak.fix().isPresent()) {
                Button mend = Controls.button("leaks." + leak.finding().code().name(), () -> leaks.mend(leak));
                one.getChildren().add(mend);
            }
            getChildren().add(one);
        }
        if (found.size() > MOST) getChildren().add(Controls.label(Words.of("leaks.more", found.size() - MOST), Styles.SMALL));
    }
}
