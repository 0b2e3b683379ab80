package app.yellowtab.desktop.entry;

import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.work.Intakes;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.Edits;
import app.yellowtab.edit.Placeholders;
import app.yellowtab.edit.Placeholders.Rest;
import app.yellowtab.model.contents.InTray;
import app.yellowtab.model.entry.EntryId;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.util.Subscription;

/** Filling free pages with a document that has come, and what is offered where its pages do not agree. Knows no node. */
public final class Filling {
    /**
     * What is said of a filling, and what can be done about it.
     *
     * @param id     the document that it is about
     * @param free   how many pages it keeps free while this is true
     * @param words  what happened, or would
     * @param action what can be done, in words; empty for nothing
     * @param accept does it
     */
    public record Offer(EntryId id, int free, String words, String action, Runnable accept) {}

    private final Workspace workspace;
    private final Intakes intakes;
    private final ReadOnlyObjectWrapper<Optional<Offer>> offer = new ReadOnlyObjectWrapper<>(this, "offer", Optional.empty());
    private final Subscription subscription;

    public Filling(Workspace workspace, Intakes intakes) {
        this.workspace = workspace;
        this.intakes = intakes;
        // What is undone, or done in another way, is offered no more.
        subscription = workspace.onBundle(bundle -> {
            if (offer.get().isPresent() && free(offer.get().get().id()) != offer.get().get().free()) dismiss();
        });
    }

    public void dispose() {
        subscription.unsubscribe();
    }

    public ReadOnlyObjectProperty<Optional<Offer>> offerProperty() {
        return offer.getReadOnlyProperty();
    }

    public void dismiss() {
        offer.set(Optional.empty());
    }

    public void accept() {
        Optional<Offer> now = offer.get();
        dismiss();
        now.ifPresent(those -> those.accept().run());
    }

    /** Fills a placeholder with a file that is brought in first. */
    public void fillWith(EntryId placeholder, Path file) {
        intakes.bringIn(List.of(file), taken -> bundle -> Edits.addSources(bundle, taken.sources()), taken -> {
            if (!taken.sources().isEmpty()) fillWith(placeholder, taken.sources().getFirst().id().value());
        });
    }

    /**
     * Fills a placeholder with something that lies in the tray; where it is longer than the pages that are kept free, it asks
     * first.
     */
    public void fillWith(EntryId placeholder, String item) {
        Optional<InTray> lies = workspace.bundle().tray().stream().filter(there -> there.id().equals(item)).findFirst();
        int free = free(placeholder);
        if (lies.isEmpty() || free == 0) return;
        int pages = Placeholders.pages(lies.get());
        String name = name(lies.get());
        if (pages > free) {
            offer.set(Optional.of(new Offer(placeholder, free, Words.of("fill.longer", name, pages, free, pages - free),
                    Words.of("fill.longer.do"), () -> fill(placeholder, item, name))));
        } else {
            fill(placeholder, item, name);
        }
    }

    private void fill(EntryId placeholder, String item, String name) {
        int before = free(placeholder);
        workspace.edit(bundle -> Placeholders.fill(bundle, placeholder, item, Rest.STAYS));
        int left = free(placeholder);
        String words = left == 0 ? Words.of("fill.agrees", name) : Words.of("fill.shorter", name, before - left, before, left);
        offer.set(Optional.of(new Offer(placeholder, left, words, left == 0 ? "" : Words.of("fill.shorter.do"),
                () -> workspace.edit(bundle -> Placeholders.reserve(bundle, placeholder, 0)))));
    }

    private int free(EntryId id) {
        return workspace.bundle().contents().allDocuments().stream().filter(document -> document.id().equals(id)).findFirst()
                .map(Placeholders::reserved).orElse(-1);
    }

    public static String name(InTray item) {
        return switch (item) {
            case InTray.File file -> file.source().fileName();
            case InTray.SetAside aside -> aside.document().title();
        };
    }
}
