package app.yellowtab.convert.word;

import app.yellowtab.convert.flow.Frame;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.poi.hwpf.HWPFDocument;
import org.apache.poi.hwpf.usermodel.HeaderStories;
import org.apache.poi.hwpf.usermodel.Paragraph;
import org.apache.poi.hwpf.usermodel.Range;
import org.jsoup.nodes.Element;
import org.jspecify.annotations.Nullable;

/**
 * What stands above and below the text of a document of the older kind, as its first section has it: the library makes out no
 * other.
 *
 * @param differElsewhere whether later sections have others, which are lost
 */
record DocMargins(List<Box> boxes, boolean differElsewhere) {
    static final DocMargins NONE = new DocMargins(List.of(), false);

    private static final double DISTANCE_PT = 35;
    /** A field: its instruction, and what it showed when the file was saved ([MS-DOC] 2.8.25). */
    private static final Pattern FIELD = Pattern.compile("\\x13([^\\x13\\x14\\x15]*)(?:\\x14([^\\x13\\x15]*))?\\x15");

    /**
     * Some lines.
     *
     * @param which "header" or "footer"
     * @param pages "@page", or "@page :first" for a first page that has lines of its own
     */
    private record Box(Element lines, String which, String pages) {}

    static DocMargins of(HWPFDocument document) {
        HeaderStories stories = new HeaderStories(document);
        List<Box> boxes = new ArrayList<>();
        Set<String> shown = new HashSet<>();
        add(boxes, shown, stories.getOddHeaderSubrange(), "header", "@page");
        add(boxes, shown, stories.getOddFooterSubrange(), "footer", "@page");
        add(boxes, shown, stories.getFirstHeaderSubrange(), "header", "@page :first");
        add(boxes, shown, stories.getFirstFooterSubrange(), "footer", "@page :first");
        return new DocMargins(boxes, !shown.containsAll(lines(stories.getRange())));
    }

    /** {@return the lines that say something, whatever page they were last shown on} */
    private static Set<String> lines(Range range) {
        Set<String> lines = new HashSet<>();
        for (int i = 0; i < range.numParagraphs(); i++)
            lines.add(FIELD.matcher(range.getParagraph(i).text()).replaceAll("$1").replaceAll("\\p{Cntrl}", "").strip());
        lines.remove("");
        return lines;
    }

    private static void add(List<Box> boxes, Set<String> shown, @Nullable Range range, String which, String pages) {
        if (range == null || range.text().isBlank()) return;
        shown.addAll(lines(range));
        Element box = new Element("div");
        for (int i = 0; i < range.numParagraphs(); i++) addLine(box, range.getParagraph(i));
        while (box.childrenSize() > 0 && box.lastElementChild().select("span").isEmpty()) box.lastElementChild().remove();
        boxes.add(new Box(box, which, pages));
    }

    private static void addLine(Element box, Paragraph paragraph) {
        Element line = box.appendElement("p");
        String[] parts = paragraph.text().replaceAll("[\\r\\x07]", "").split("\t", 3);
        if (parts.length == 1) {
            String align = paragraph.getJustification() == 1 ? "center" : paragraph.getJustification() == 2 ? "right" : "left";
            addWords(line.attr("style", "text-align:" + align), parts[0]);
            return;
        }
        // Two stops, in the middle and at the right, are what such a line has unless somebody changed it.
        Element row = line.attr("style", "").tagName("table").attr("style", "width:100%").appendElement("tr");
        for (int i = 0; i < parts.length; i++) {
            addWords(row.appendElement("td").attr("style",
                    "border:0;width:33%;text-align:" + (i == 0 ? "left" : i == 1 ? "center" : "right")), parts[i]);
        }
    }

    private static void addWords(Element to, String words) {
        Matcher field = FIELD.matcher(words);
        int from = 0;
        while (field.find()) {
            addText(to, words.substring(from, field.start()));
            from = field.end();
            String instruction = field.group(1).strip().toUpperCase(Locale.ROOT);
            if (instruction.matches("PAGE\\b.*")) to.appendElement("span").addClass("page-number");
            else if (instruction.matches("(NUM|SECTION)PAGES\\b.*")) to.appendElement("span").addClass("page-count");
            else addText(to, field.group(2) == null ? "" : field.group(2));
        }
        addText(to, words.substring(from));
    }

    private static void addText(Element to, String words) {
        if (!words.isEmpty()) to.appendElement("span").appendText(words);
    }

    boolean countsPages() {
        return boxes.stream().anyMatch(box -> !box.lines().select(".page-count").isEmpty());
    }

    void placeIn(Frame frame) {
        boxes.forEach(box -> frame.place(box.lines().clone(), box.which(), box.pages(), DISTANCE_PT));
    }
}
