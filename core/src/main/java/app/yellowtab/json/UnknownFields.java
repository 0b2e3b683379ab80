package app.yellowtab.json;

import java.util.HashMap;
import java.util.Map;
import java.util.function.BiConsumer;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Fields of a bundle file that this program does not know, kept and written back where they were. Sections, documents
 * and sources are found again by their id wherever they have moved; a party or a run of pages by being unchanged.
 */
public final class UnknownFields {
    private final Map<String, ObjectNode> byPlace = new HashMap<>();
    private @Nullable JsonNode asRead;
    private final Supplier<JsonNode> asKnown;

    /**
     * Keeps a bundle that was read until it is looked at: writing it takes as long as reading it, and nobody who opens it needs
     * to wait.
     *
     * @param asRead  the file
     * @param asKnown gives the same bundle written by this program
     */
    public UnknownFields(JsonNode asRead, Supplier<JsonNode> asKnown) {
        this.asRead = asRead;
        this.asKnown = asKnown;
    }

    /** Notes what is unknown, if that was not done yet. */
    public void settle() {
        JsonNode read = asRead;
        if (read == null) return;
        note("", read, asKnown.get());
        asRead = null;
    }

    /** Puts the unknown fields back into a bundle that is about to be written. */
    public void putBack(ObjectNode root) {
        settle();
        putBack("", root);
    }

    private void note(String place, JsonNode read, JsonNode known) {
        if (!(read instanceof ObjectNode from) || !(known instanceof ObjectNode to)) return;
        for (var field : from.properties()) {
            if (!to.has(field.getKey())) {
                byPlace.computeIfAbsent(place, p -> BundleJson.MAPPER.createObjectNode()).set(field.getKey(), field.getValue());
            }
        }
        for (var field : to.properties()) {
            JsonNode inner = from.get(field.getKey());
            if (field.getValue() instanceof ArrayNode list) {
                for (int i = 0; i < list.size(); i++)
                    note(placeOf(place, field.getKey(), list.get(i)), inner.get(i), list.get(i));
            } else {
                note(place + "/" + field.getKey(), inner, field.getValue());
            }
        }
    }

    private void putBack(String place, JsonNode node) {
        forEachInner(place, node, this::putBack);
        ObjectNode unknown = byPlace.get(place);
        if (unknown != null && node instanceof ObjectNode known) known.setAll(unknown);
    }

    private static void forEachInner(String place, JsonNode node, BiConsumer<String, JsonNode> visit) {
        if (!(node instanceof ObjectNode object)) return;
        for (var field : object.properties()) {
            if (field.getValue() instanceof ArrayNode list) {
                for (JsonNode element : list) visit.accept(placeOf(place, field.getKey(), element), element);
            } else {
                visit.accept(place + "/" + field.getKey(), field.getValue());
            }
        }
    }

    private static String placeOf(String outer, String list, JsonNode element) {
        JsonNode id = element.get("id");
        return id != null ? "#" + id.asString() : outer + "/" + list + "/" + element;
    }
}
