package app.yellowtab.desktop.agree;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.FileDialogs;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.keep.KeptReference;
import app.yellowtab.keep.Templates;
import java.nio.file.Path;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.Tooltip;

/** What is done with the index between the parties. */
public final class AgreeMenu extends MenuButton {
    private final Label said = Controls.label("", Styles.SMALL);

    /**
     * What is kept in the user's folder.
     *
     * @param reference how the user writes references to pages
     */
    public record Kept(KeptReference reference, Templates templates) {}

    public AgreeMenu(Workspace workspace, Agreeing agreeing, FileDialogs dialogs, Kept kept) {
        super(Words.of("agree.menu"));
        setId("agree-menu");
        Controls.describe(this, Words.of("agree.menuTip"));
        getItems().setAll(
                Controls.menuItem("agree.readIn",
                        () -> dialogs.files(Words.of("agree.readIn")).stream().findFirst().ifPresent(agreeing::begin)),
                Controls.menuItem("agree.matchFiles", agreeing::match), new SeparatorMenuItem(),
                Controls.menuItem("agree.writeOut",
                        () -> dialogs.saveAs(Words.of("agree.writeOut"), suggested(workspace, "agree.indexFile", ".xlsx"))
                                .ifPresent(agreeing::writeIndex)),
                Controls.menuItem("agree.chronology",
                        () -> dialogs.saveAs(Words.of("agree.chronology"), suggested(workspace, "agree.chronologyFile", ".docx"))
                                .ifPresent(agreeing::writeChronology)),
                new SeparatorMenuItem(),
                Controls.menuItem("agree.keepStructure", () -> agreeing.keepStructure(kept.templates())),
                Controls.menuItem("agree.giveStructure",
                        () -> dialogs
                                .saveAs(Words.of("agree.giveStructure"), suggested(workspace, "agree.structureFile", ".json"))
                                .ifPresent(agreeing::giveStructure)));
        said.setId("agree-said");
        said.setMinWidth(0);
        agreeing.saidProperty().subscribe(words -> {
            said.setText(words);
            said.setTooltip(words.isEmpty() ? null : new Tooltip(words));
        });
    }

    /** {@return says what came of writing} */
    public Label said() {
        return said;
    }

    private static Path suggested(Workspace workspace, String name, String ending) {
        return workspace.folder().path().resolve(Words.of(name) + ending);
    }
}
