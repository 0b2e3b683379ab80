package app.yellowtab.desktop.produce;

import app.yellowtab.desktop.look.InWords;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.leaf.PlannedEntry.PlannedDocument;
import app.yellowtab.leaf.PlannedEntry.PlannedSection;
import app.yellowtab.model.entry.EntryId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.scene.control.ListView;
import javafx.scene.control.cell.CheckBoxListCell;

/** A list of sections and documents, of which some are ticked. */
final class EntryTicks extends ListView<EntryTicks.Choice> {
    private static final double HEIGHT = 130;

    /** A section or document that can be ticked. */
    record Choice(EntryId entry, String words) {}

    private final Map<EntryId, BooleanProperty> ticked = new HashMap<>();
    private final Consumer<List<EntryId>> take;
    private List<EntryId> chosen = List.of();
    private boolean showing;

    /** @param take is given all that are ticked, whenever that changes */
    EntryTicks(String id, Consumer<List<EntryId>> take) {
        this.take = take;
        setId(id);
        setPrefHeight(HEIGHT);
        setCellFactory(CheckBoxListCell.forListView(this::isTicked, new InWords<>(choice -> choice.words())));
    }

    private BooleanProperty isTicked(Choice choice) {
        return ticked.computeIfAbsent(choice.entry(), entry -> {
            BooleanProperty property = new SimpleBooleanProperty(chosen.contains(entry));
            property.addListener((value, before, now) -> {
                if (showing) return;
                List<EntryId> all = new ArrayList<>(chosen);
                all.remove(entry);
                if (now) all.add(entry);
                take.accept(all);
            });
            return property;
        });
    }

    /** Shows entries, and which of them are ticked. */
    void show(List<PlannedEntry> entries, List<EntryId> those) {
        showing = true;
        chosen = List.copyOf(those);
        List<Choice> choices = new ArrayList<>();
        for (PlannedEntry entry : entries) {
            String indent = "   ".repeat(entry.depth());
            choices.add(new Choice(entry.id(), switch (entry) {
                case PlannedSection section -> indent + section.label() + ". " + section.title();
                case PlannedDocument document -> indent + (document.tab() == 0 ? "" : document.tab() + ". ") + document.title();
            }));
        }
        if (!getItems().equals(choices)) getItems().setAll(choices);
        ticked.forEach((entry, property) -> property.set(chosen.contains(entry)));
        showing = false;
    }
}
