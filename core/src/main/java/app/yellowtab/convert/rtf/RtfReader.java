package app.yellowtab.convert.rtf;

import app.yellowtab.convert.flow.Frame;
import app.yellowtab.convert.flow.Look;
import app.yellowtab.convert.flow.Piece;
import app.yellowtab.convert.flow.Props;
import app.yellowtab.convert.flow.TrackedChanges;
import app.yellowtab.convert.page.Face;
import app.yellowtab.convert.page.Notes;
import app.yellowtab.finding.Finding.Code;
import com.rtfparserkit.parser.IRtfListener;
import com.rtfparserkit.rtf.Command;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jsoup.nodes.Element;

/** Listens to the commands and words of a Rich Text Format file, and builds the pages' trees from them. */
final class RtfReader implements IRtfListener {
    /** Groups whose words are no text of the document. */
    private static final Set<Command> UNSHOWN =
            EnumSet.of(Command.info, Command.stylesheet, Command.atnid, Command.bkmkstart, Command.nonshppict,
                    Command.listtable, Command.listoverridetable, Command.rsidtbl, Command.generator, Command.themedata,
                    Command.datastore, Command.latentstyles,
                    Command.xmlnstbl, Command.revtbl, Command.atrfstart, Command.atrfend, Command.bkmkend, Command.pn, Command.sp,
                    Command.objdata, Command.nesttableprops,
                    Command.headerl, Command.footerl, Command.colorschememapping, Command.filetbl, Command.mmathPr,
                    Command.wgrffmtfilter, Command.shpinst);

    private static final Set<Command> SHOWN_THOUGH_OPTIONAL =
            EnumSet.of(Command.shppict, Command.footnote, Command.listtext, Command.pict, Command.fldinst);

    private final boolean showChanges;
    private final boolean showComments;
    private final Notes notes;
    private final Map<Integer, String> fonts = new HashMap<>();
    private final List<String> colours = new ArrayList<>();
    private final Map<Command, Integer> sheet = new EnumMap<>(Command.class);
    private final Deque<Group> states = new ArrayDeque<>();
    private final List<Page> pages = new ArrayList<>();
    private Group state = new Group();
    private RtfFlow flow;
    private final int[] colour = new int[3];
    private RtfPicture picture = new RtfPicture();
    private final StringBuilder instruction = new StringBuilder();
    private boolean starred;
    private int footnotes;
    private boolean countsPages;
    private int changes;
    private int comments;
    private final StringBuilder author = new StringBuilder();

    RtfReader(boolean showChanges, boolean showComments, Notes notes) {
        this.showChanges = showChanges;
        this.showComments = showComments;
        this.notes = notes;
        flow = newPage();
    }

    /** What holds until the end of a group. */
    private static final class Group {
        private Props run = Props.NONE.and("sz.val", "24");
        private Props paragraph = Props.NONE;
        private String place = "text";
        private boolean deleted;

        private Group copy() {
            Group copy = new Group();
            copy.run = run;
            copy.paragraph = paragraph;
            copy.place = place;
            copy.deleted = deleted;
            return copy;
        }
    }

    private final Deque<RtfFlow> outer = new ArrayDeque<>();
    /** What stands above and below the text, until the next section says otherwise. */
    private final Map<String, Element> margins = new HashMap<>();

    /** Pages of one layout, and what stands above and below their text. */
    private record Page(Frame frame, Map<String, Element> margins) {}

    /** {@return the sections' sheets, filled} */
    List<Frame> frames() {
        for (Page page : pages) {
            page.margins().forEach((which, box) -> page.frame().place(box.clone(), which, "@page",
                    twips(which.equals("header") ? Command.headery : Command.footery, 708)));
        }
        return pages.stream().map(Page::frame).toList();
    }

    int changes() {
        return changes;
    }

    int comments() {
        return comments;
    }

    private RtfFlow newPage() {
        Frame frame = new Frame(twips(Command.paperw, 11906), twips(Command.paperh, 16838), twips(Command.margt, 1440),
                twips(Command.margr, 1800),
                twips(Command.margb, 1440), twips(Command.margl, 1800));
        pages.add(new Page(frame, new HashMap<>(margins)));
        return new RtfFlow(frame.body(), frame.lines());
    }

    private double twips(Command command, int otherwise) {
        return sheet.getOrDefault(command, otherwise) / 20.0;
    }

    @Override
    public void processDocumentStart() {}

    @Override
    public void processDocumentEnd() {
        if (!flow.isBetweenParagraphs()) endParagraph();
        flow.endTable();
    }

    @Override
    public void processGroupStart() {
        if (starred) state.place = "unshown";
        states.push(state);
        state = state.copy();
        starred = false;
    }

    @Override
    public void processGroupEnd() {
        String ended = state.place;
        if (states.isEmpty()) return;
        state = states.pop();
        if (ended.equals(state.place)) return;
        switch (ended) {
            case "picture" -> picture.piece(notes).ifPresent(flow::add);
            case "footnote", "header", "footer", "comment" -> endOuter(ended);
            default -> {}
        }
    }

    @Override
    public void processCharacterBytes(byte[] data) {}

    @Override
    public void processBinaryBytes(byte[] data) {
        if (state.place.equals("picture")) picture.take(data);
    }

    @Override
    public void processString(String text) {
        // A star, and no command after it that the library knows.
        if (starred) state.place = "unshown";
        starred = false;
        switch (state.place) {
            case "text", "footnote", "header", "footer", "comment" -> addText(text);
            case "author" -> author.append(text);
            case "picture" -> picture.take(text);
            case "instruction" -> instruction.append(text);
            case "fonts" -> fonts.merge((int) state.run.number("font", 0), text.replace(";", ""),
                    (known, more) -> known.isEmpty() ? more : known);
            case "colours" -> {
                colours.add(String.format(Locale.ROOT, "%02X%02X%02X", colour[0] & 0xFF, colour[1] & 0xFF, colour[2] & 0xFF));
                Arrays.fill(colour, 0);
            }
            default -> {}
        }
    }

    private void addText(String text) {
        if (state.deleted) {
            if (!showChanges) return;
            add(text, state.run.with(TrackedChanges.DELETED));
            return;
        }
        if (!state.run.on("vanish")) add(text, state.run);
        else if (!text.isBlank()) notes.lost("hidden text");
    }

    private void add(String text, Props run) {
        Face face = Face.named(fonts.getOrDefault((int) run.number("font", 0), ""));
        flow.add(Piece.text(text, Look.run(run, face), face, run));
    }

    @Override
    public void processCommand(Command command, int parameter, boolean hasParameter, boolean optional) {
        if (command == Command.optionalcommand) {
            starred = true;
            return;
        }
        boolean startsUnknown = starred && !SHOWN_THOUGH_OPTIONAL.contains(command);
        starred = false;
        if (state.place.equals("unshown")) return;
        if (UNSHOWN.contains(command)) {
            state.place = "unshown";
        } else if (command == Command.atnauthor) {
            author.setLength(0);
            state.place = "author";
        } else if (command == Command.annotation) {
            comments++;
            if (showComments) begin("comment", new Element("span").addClass("comment"));
            else state.place = "unshown";
        } else if (startsUnknown) {
            state.place = "unshown";
        } else if (!place(command) && !character(command, parameter, hasParameter) && !paragraph(command, parameter)
                && !table(command, parameter)) {
                    rest(command, parameter);
                }
    }

    private boolean place(Command command) {
        switch (command) {
            case fonttbl -> state.place = "fonts";
            case colortbl -> state.place = "colours";
            case pict -> {
                state.place = "picture";
                picture = new RtfPicture();
            }
            case fldinst -> {
                state.place = "instruction";
                instruction.setLength(0);
            }
            case fldrslt -> {
                String field = instruction.toString().strip().toUpperCase(Locale.ROOT);
                if (!field.matches("(PAGE|NUMPAGES|SECTIONPAGES)\\b.*")) return true;
                pageNumber(field.startsWith("PAGE") ? "page-number" : "page-count");
                state.place = "unshown";
            }
            case footnote ->
                    begin("footnote", new Element("span").addClass("footnote").attr("data-number", String.valueOf(++footnotes)));
            case header, headerr -> begin("header", new Element("div"));
            case footer, footerr -> begin("footer", new Element("div"));
            case headerf, footerf -> {
                state.place = "unshown";
                notes.lost("headers and footers of first pages");
            }
            default -> {
                return false;
            }
        }
        return true;
    }

    private void begin(String place, Element to) {
        state.place = place;
        outer.push(flow);
        flow = new RtfFlow(to, pages.getLast().frame().lines());
    }

    private void endOuter(String place) {
        if (!flow.isBetweenParagraphs()) endParagraph();
        flow.endTable();
        Element filled = flow.element();
        flow = outer.pop();
        if (place.equals("footnote")) {
            filled.select("span[style^=margin-left:-]").remove();
            filled.select("p").forEach(p -> p.tagName("span").attr("style", "font-size:9pt"));
            flow.add(Piece.markup(filled, 5));
        } else if (place.equals("comment")) {
            flow.add(Piece.markup(
                    filled.text("[" + (author.isEmpty() ? "" : author.toString().strip() + ": ") + filled.text() + "]"), 40));
        } else {
            margins.put(place, filled);
            pages.getLast().margins().put(place, filled);
        }
    }

    private boolean character(Command command, int parameter, boolean hasParameter) {
        boolean on = !hasParameter || parameter != 0;
        switch (command) {
            case plain -> state.run = Props.NONE.and("sz.val", "24");
            case b -> set("b", on);
            case i -> set("i", on);
            case ul, uld, uldb, ulw -> set("u", on);
            case ulnone -> set("u", false);
            case strike -> set("strike", on);
            case caps -> set("caps", on);
            case scaps -> set("smallCaps", on);
            case v -> set("vanish", on);
            case fs -> state.run = state.run.and("sz.val", String.valueOf(parameter));
            case f -> state.run = state.run.and("font", String.valueOf(parameter));
            case cf -> state.run =
                    state.run.and("color.val", parameter > 0 && parameter < colours.size() ? colours.get(parameter) : "auto");
            case supercmd -> state.run = state.run.and("vertAlign.val", "superscript");
            case sub -> state.run = state.run.and("vertAlign.val", "subscript");
            case nosupersub -> state.run = state.run.and("vertAlign.val", "baseline");
            case deleted -> {
                state.deleted = on;
                if (on) changes++;
            }
            case revised -> {
                if (!on) return true;
                changes++;
                if (showChanges) state.run = state.run.with(TrackedChanges.INSERTED);
            }
            default -> {
                return false;
            }
        }
        return true;
    }

    private void set(String name, boolean on) {
        state.run = state.run.and(name, "").and(name + ".val", on ? "1" : "0");
    }

    private boolean paragraph(Command command, int parameter) {
        if (command == Command.par) {
            endParagraph();
            return true;
        }
        Optional<Props> changed = RtfParagraphs.change(state.paragraph, command, parameter);
        changed.ifPresent(paragraph -> state.paragraph = paragraph);
        return changed.isPresent();
    }

    private boolean table(Command command, int parameter) {
        switch (command) {
            case trowd -> flow.beginRow();
            case cellx -> flow.edge(parameter);
            case intbl -> flow.beginTable();
            case cell, nestcell -> {
                endParagraph();
                flow.endCell();
            }
            case row, nestrow -> flow.endRow();
            default -> {
                return false;
            }
        }
        return true;
    }

    private void endParagraph() {
        flow.endParagraph(state.paragraph, Look.size(state.run));
    }

    private void rest(Command command, int parameter) {
        switch (command) {
            case tab -> flow.add(Piece.tab());
            case line -> flow.add(Piece.lineBreak());
            case page -> flow.add(Piece.pageBreak());
            case chpgn -> pageNumber("page-number");
            case emdash -> addText("—");
            case endash -> addText("–");
            case bullet -> addText("•");
            case nonbreakingspace -> addText("\u00A0");
            case nonbreakinghyphen -> addText("\u2011");
            case emspace -> addText("\u2003");
            case enspace -> addText("\u2002");
            case lquote -> addText("‘");
            case rquote -> addText("’");
            case ldblquote -> addText("“");
            case rdblquote -> addText("”");
            case paperw, paperh, margl, margr, margt, margb, headery, footery -> {
                sheet.put(command, parameter);
                restartEmptyPage();
            }
            case pgwsxn -> {
                sheet.put(Command.paperw, parameter);
                restartEmptyPage();
            }
            case pghsxn -> {
                sheet.put(Command.paperh, parameter);
                restartEmptyPage();
            }
            case sect -> {
                if (!flow.isBetweenParagraphs()) endParagraph();
                flow.endTable();
                if (outer.isEmpty()) flow = newPage();
            }
            case red, green, blue -> colour[command == Command.red ? 0 : command == Command.green ? 1 : 2] = parameter;
            case picwgoal -> picture.width(parameter / 20.0);
            case pichgoal -> picture.height(parameter / 20.0);
            case object -> notes.lost("embedded objects are shown as their picture");
            default -> {}
        }
    }

    /** {@return whether somewhere the number of all pages is printed} */
    boolean countsPages() {
        return countsPages;
    }

    private void pageNumber(String kind) {
        countsPages |= kind.equals("page-count");
        Face face = Face.named(fonts.getOrDefault((int) state.run.number("font", 0), ""));
        flow.add(Piece.markup(new Element("span").addClass(kind).attr("style", Look.run(state.run, face)), 10));
    }

    /** Sizes and margins of the sheet are stated before the first word of what they hold for. */
    private void restartEmptyPage() {
        if (!outer.isEmpty() || !flow.isBetweenParagraphs() || flow.hasContent()) return;
        pages.removeLast();
        flow = newPage();
    }
}
