package app.yellowtab.json;

import app.yellowtab.mark.Ground;
import app.yellowtab.mark.Ink;
import app.yellowtab.model.number.BundleNumber;
import app.yellowtab.model.number.MarkedPages;
import app.yellowtab.model.number.Numbering;
import app.yellowtab.model.number.PageKind;
import java.lang.reflect.RecordComponent;
import java.util.Locale;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Brings what older bundles say of numbers to the form of today. Place and look stood beside each other in a series, documents
 * and sources too; a ground was there or not; numbers counted from 1 in figures, and there were no lines.
 */
public final class OlderNumbers {
    private OlderNumbers() {}

    /** Fills in what is left unsaid. */
    static void fillIn(ObjectNode numbering) {
        fillIn(numbering, Numbering.NONE);
        bundle(numbering.path("bundle"));
        series(numbering.path("series"));
    }

    /** Fills in what is said of the numbers that run through a bundle. */
    static void bundle(JsonNode number) {
        if (!(number instanceof ObjectNode bundle)) return;
        setting(bundle);
        JsonNode onCover = bundle.remove("onCover");
        if (onCover != null && !onCover.asBoolean(true))
            ((ArrayNode) bundle.path("setting").path("pages").path("not")).add(PageKind.COVER.name().toLowerCase(Locale.ROOT));
        fillIn(bundle, BundleNumber.STANDARD);
    }

    /** Fills in all fields of a record that are missing, as another has them. */
    private static void fillIn(ObjectNode node, Record standard) {
        for (RecordComponent field : standard.getClass().getRecordComponents()) {
            if (!node.has(field.getName()))
                node.set(field.getName(), BundleJson.MAPPER.<ObjectNode>valueToTree(standard).get(field.getName()));
        }
    }

    /** Fills in what is said of series. */
    public static void series(JsonNode series) {
        for (JsonNode one : series) {
            if (!(one instanceof ObjectNode object)) continue;
            setting(object);
            object.remove("style");
        }
    }

    private static void setting(ObjectNode of) {
        if (of.has("setting") || !of.has("spot")) return;
        ObjectNode setting = of.putObject("setting");
        setting.set("spot", of.remove("spot"));
        setting.put("mirrored", false);
        ObjectNode pages = BundleJson.MAPPER.valueToTree(MarkedPages.ALL);
        for (String field : new String[] {"entries", "sources"}) {
            JsonNode named = of.remove(field);
            if (named != null) pages.set(field, named);
        }
        setting.set("pages", pages);
        if (!(of.remove("look") instanceof ObjectNode look)) return;
        look.put("ground", (look.path("ground").asBoolean(false) ? Ground.WHITE : Ground.NONE).name().toLowerCase(Locale.ROOT));
        look.put("ink", Ink.BLACK.written()).put("opacity", 1.0).put("turn", 0);
        setting.set("look", look);
    }
}
