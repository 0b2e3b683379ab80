package app.yellowtab.desktop;

import app.yellowtab.desktop.work.Autosave;
import app.yellowtab.desktop.work.Session;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.keep.Recents;
import app.yellowtab.model.CaseHeading;
import java.time.LocalDate;
import java.util.Optional;
import java.util.concurrent.ExecutorService;

/** A bundle on the desk, with what must be ended when it goes. */
record OpenBundle(Session session, Shell shell, Autosave autosave, ExecutorService saving) {
    Workspace workspace() {
        return session.workspace();
    }

    /** {@return what is remembered of it} */
    Recents.Recent recent(boolean isOpen) {
        Workspace its = workspace();
        return new Recents.Recent(its.folder().path(), title(), its.bundle().heading().shortName(), its.plan().pageCount(),
                Optional.of(LocalDate.now()), its.stageProperty().get().name(), its.leaf() + 1, isOpen);
    }

    private String title() {
        String title = workspace().bundle().heading().title();
        return title.isBlank() ? String.valueOf(workspace().folder().path().getFileName()) : title;
    }

    /** {@return what it is called at the top of the window} */
    String name() {
        CaseHeading heading = workspace().bundle().heading();
        return heading.shortName().isEmpty() ? title() : heading.shortName() + " · " + title();
    }
}
