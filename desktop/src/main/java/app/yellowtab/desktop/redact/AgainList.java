package app.yellowtab.desktop.redact;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.repage.Looking;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.model.number.GivenNumber;
import app.yellowtab.model.run.LookAgain;
import app.yellowtab.model.source.Source;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** The pages that somebody must look at before anything goes out, each with what can be said of it. */
public final class AgainList extends VBox {
    private static final int MOST = 6;

    private final Workspace workspace;

    public AgainList(Workspace workspace) {
        super(12);
        this.workspace = workspace;
        setId("again");
        show();
    }

    /** Shows those of the bundle as it is now; {@return whether there are any} */
    public boolean show() {
        List<LookAgain> all = workspace.plan().toLookAt(workspace.plan().leaves());
        getChildren().clear();
        Controls.show(this, !all.isEmpty());
        if (all.isEmpty()) return false;
        getChildren().add(Controls.label(Words.of("again.title", all.size()), Styles.FORM_LABEL));
        for (LookAgain again : all.stream().limit(MOST).toList()) getChildren().add(one(again));
        if (all.size() > MOST) getChildren().add(Controls.label(Words.of("again.more", all.size() - MOST), Styles.SMALL));
        return true;
    }

    private Node one(LookAgain again) {
        Source source = workspace.bundle().sourcesById().get(again.before().source());
        String file = source == null ? "" : source.fileName();
        VBox one = new VBox(4);
        Optional<Leaf> leaf = again.page().flatMap(page -> workspace.plan().leaves().stream()
                .filter(its -> its.key().filter(page::equals).isPresent()).findFirst());
        List<Node> answers = new ArrayList<>();
        leaf.ifPresent(shown -> answers.add(quiet(Controls.button("again.show", () -> workspace.goTo(shown.index())))));
        if (again.hidden()) {
            one.getChildren().add(Controls.paragraph(
                    Words.of(leaf.isPresent() ? "again.hidden" : "again.gone", file, again.was(),
                            leaf.map(Leaf::label).orElse("")),
                    Styles.NOTICE));
            answers.add(Controls.button("again.seen", () -> workspace.edit(bundle -> Looking.seen(bundle, again))));
        }
        if (again.numbered()) {
            String numbers = workspace.bundle().numbering().given().stream()
                    .filter(given -> given.isOf(again.before()) && given.page() == again.was()).map(GivenNumber::number)
                    .collect(Collectors.joining(", "));
            one.getChildren().add(Controls.paragraph(
                    Words.of("again.numbered", file, again.was(), leaf.map(Leaf::label).orElse(""), numbers), Styles.NOTICE));
            Button keeps =
                    Controls.button("again.keeps", () -> workspace.edit(bundle -> Looking.numbered(bundle, again, true)));
            Button other =
                    Controls.button("again.other", () -> workspace.edit(bundle -> Looking.numbered(bundle, again, false)));
            answers.addAll(List.of(keeps, other));
        }
        one.getChildren().add(new FlowPane(8, 4, answers.toArray(Node[]::new)));
        return one;
    }

    private static Button quiet(Button button) {
        button.getStyleClass().add(Styles.QUIET);
        return button;
    }
}
