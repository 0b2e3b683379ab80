package app.yellowtab.convert.word;

import app.yellowtab.convert.flow.Props;
import app.yellowtab.convert.page.Notes;
import app.yellowtab.convert.page.Parts;
import app.yellowtab.convert.page.Xml;
import java.io.IOException;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.w3c.dom.Element;

/** An open word-processor document of the Office Open XML kind, and what was counted while it was read. */
final class Docx {
    private static final double TAB_STOP_PT = 36;

    final Parts parts;
    final Notes notes;
    final boolean showChanges;
    final boolean showComments;
    final String mainPart;
    final Element main;
    final Styles styles;
    ListNumbering numbering;
    private final @Nullable Element numberingPart;
    final double tabStopPt;
    final boolean evenAndOdd;
    final Map<String, Element> footnotes = new HashMap<>();
    final Map<String, Element> endnotes = new HashMap<>();
    final Map<String, Element> comments = new HashMap<>();
    private final Map<String, Map<String, String>> relationships = new HashMap<>();
    int insertions;
    int deletions;
    int commentCount;
    int noteCount;
    /** Whether somewhere the number of all pages is printed. */
    boolean pagesCounted;

    Docx(Parts parts, boolean showChanges, boolean showComments, Notes notes) throws IOException {
        this.parts = parts;
        this.notes = notes;
        this.showChanges = showChanges;
        this.showComments = showComments;
        mainPart = relationships("").values().stream().filter(name -> name.matches("(?i)word/document\\d*\\.xml")).findFirst()
                .orElse("word/document.xml");
        main = parts.xml(mainPart).orElseThrow(() -> new IOException("no document part"));
        styles = new Styles(beside("styles").orElse(null), parts.xml("word/theme/theme1.xml").orElse(null));
        numberingPart = beside("numbering").orElse(null);
        numbering = new ListNumbering(numberingPart);
        Optional<Element> settings = beside("settings");
        tabStopPt = settings.flatMap(e -> Xml.child(e, "defaultTabStop"))
                .map(e -> Props.of(settings.get()).pt("defaultTabStop.val", TAB_STOP_PT)).orElse(TAB_STOP_PT);
        evenAndOdd = settings.map(Props::of).map(props -> props.on("evenAndOddHeaders")).orElse(false);
        collect("footnotes", "footnote", footnotes);
        collect("endnotes", "endnote", endnotes);
        collect("comments", "comment", comments);
    }

    /** Forgets what was counted, before the document is read a second time. */
    void countAnew() {
        insertions = 0;
        deletions = 0;
        commentCount = 0;
        noteCount = 0;
        numbering = new ListNumbering(numberingPart);
    }

    private Optional<Element> beside(String name) throws IOException {
        return parts.xml("word/" + name + ".xml");
    }

    private void collect(String part, String name, Map<String, Element> into) throws IOException {
        Optional<Element> found = beside(part);
        if (found.isEmpty()) return;
        for (Element one : Xml.children(found.get(), name)) {
            if (!Xml.attribute(one, "type").matches("separator|continuationSeparator|continuationNotice"))
                into.put(Xml.attribute(one, "id"), one);
        }
    }

    /** {@return the part that a part refers to by an identity; empty where it has none} */
    Optional<String> target(String part, String id) throws IOException {
        return Optional.ofNullable(relationships(part).get(id));
    }

    private Map<String, String> relationships(String part) throws IOException {
        Map<String, String> known = relationships.get(part);
        if (known == null) relationships.put(part, known = parts.relationships(part));
        return known;
    }
}
