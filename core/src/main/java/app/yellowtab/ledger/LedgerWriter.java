package app.yellowtab.ledger;

import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.page.Redaction;
import app.yellowtab.output.Place;
import java.io.Closeable;
import java.io.OutputStream;
import java.util.List;
import tools.jackson.core.JsonEncoding;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.ObjectWriteContext;
import tools.jackson.core.json.JsonFactory;

/** Writes a ledger leaf by leaf: one leaf a line, so that two ledgers can be compared. For one thread. */
public final class LedgerWriter implements Closeable {
    static final int FORMAT = 3;
    /** Raised when prints of the same page come out otherwise. */
    static final int PRINTS = 1;
    private final JsonGenerator json;

    /**
     * Begins a ledger.
     *
     * @param out closed with this
     */
    public LedgerWriter(OutputStream out, int pages, List<Ledger.SourceFile> sources, List<Ledger.IndexPage> index,
            List<Ledger.Bookmark> bookmarks) {
        json = new JsonFactory().createGenerator(ObjectWriteContext.empty(), out, JsonEncoding.UTF8);
        json.writeStartObject();
        json.writeNumberProperty("ledger", FORMAT);
        json.writeNumberProperty("prints", PRINTS);
        json.writeNumberProperty("pages", pages);
        json.writeArrayPropertyStart("sources");
        for (Ledger.SourceFile source : sources) {
            newLine();
            json.writeStartObject();
            json.writeStringProperty("file", source.file());
            json.writeStringProperty("sha256", source.sha256());
            json.writeNumberProperty("pages", source.pages());
            json.writeEndObject();
        }
        json.writeEndArray();
        json.writeArrayPropertyStart("index");
        index.forEach(this::indexPage);
        json.writeEndArray();
        json.writeArrayPropertyStart("bookmarks");
        for (Ledger.Bookmark bookmark : bookmarks) {
            newLine();
            json.writeStartObject();
            json.writeNumberProperty("file", bookmark.file());
            json.writeNumberProperty("level", bookmark.level());
            json.writeStringProperty("title", bookmark.title());
            place("to", bookmark.to());
            json.writeEndObject();
        }
        json.writeEndArray();
        json.writeArrayPropertyStart("leaves");
    }

    private void newLine() {
        json.writeRaw("\n");
    }

    private void indexPage(Ledger.IndexPage page) {
        json.writeStartObject();
        place("place", page.place());
        json.writeArrayPropertyStart("rows");
        for (Ledger.Row row : page.rows()) {
            newLine();
            json.writeStartObject();
            json.writeStringProperty("text", row.text());
            json.writeStringProperty("pages", row.pages());
            if (!row.to().isNowhere()) place("to", row.to());
            area("area", row.area());
            json.writeEndObject();
        }
        json.writeEndArray();
        json.writeEndObject();
    }

    private void place(String name, Place place) {
        json.writeName(name);
        place(place);
    }

    private void place(Place place) {
        json.writeStartArray();
        json.writeNumber(place.file());
        json.writeNumber(place.position());
        json.writeEndArray();
    }

    private void area(String name, Ledger.Area area) {
        json.writeArrayPropertyStart(name);
        for (float side : new float[] {area.left(), area.bottom(), area.right(), area.top()}) json.writeNumber(side);
        json.writeEndArray();
    }

    private void look(PageLook look) {
        json.writeObjectPropertyStart("look");
        json.writeNumberProperty("turns", look.turns());
        json.writeNumberProperty("straightenDegrees", look.straightenDegrees());
        look.crop().ifPresent(crop -> numbers("crop", crop.leftMm(), crop.topMm(), crop.widthMm(), crop.heightMm()));
        look.sheet().ifPresent(sheet -> numbers("sheet", sheet.widthMm(), sheet.heightMm()));
        json.writeNumberProperty("scale", look.scale());
        json.writeArrayPropertyStart("redactions");
        for (Redaction redaction : look.redactions()) {
            Area area = redaction.area();
            json.writeStartObject();
            numbers("area", area.leftMm(), area.topMm(), area.widthMm(), area.heightMm());
            if (!redaction.printedWords().isEmpty()) json.writeStringProperty("printed", redaction.printedWords());
            json.writeEndObject();
        }
        json.writeEndArray();
        json.writeEndObject();
    }

    private void numbers(String name, double... values) {
        json.writeArrayPropertyStart(name);
        for (double value : values) json.writeNumber(value);
        json.writeEndArray();
    }

    /** Adds the next leaf. */
    public void add(Ledger.Page leaf) {
        newLine();
        json.writeStartObject();
        place("place", leaf.place());
        if (!leaf.name().isEmpty()) json.writeStringProperty("name", leaf.name());
        leaf.number().ifPresent(number -> json.writeStringProperty("number", number));
        json.writeStringProperty("label", leaf.label());
        json.writeStringProperty("kind", leaf.kind());
        leaf.from().ifPresent(from -> {
            json.writeNumberProperty("source", from.source());
            json.writeNumberProperty("page", from.page());
        });
        json.writeStringProperty("contentPrint", leaf.contentPrint());
        if (!leaf.shownPrint().equals(leaf.contentPrint())) json.writeStringProperty("shownPrint", leaf.shownPrint());
        json.writeStringProperty("pagePrint", leaf.pagePrint());
        if (!leaf.look().isPlain()) look(leaf.look());
        json.writeArrayPropertyStart("marks");
        for (Ledger.Mark mark : leaf.marks()) {
            json.writeStartObject();
            json.writeStringProperty("series", mark.series());
            json.writeStringProperty("words", mark.words());
            area("box", mark.box());
            json.writeNumberProperty("size", mark.sizePt());
            if (mark.turn() != 0) json.writeNumberProperty("turn", mark.turn());
            json.writeEndObject();
        }
        json.writeEndArray();
        if (!leaf.links().isEmpty()) {
            json.writeArrayPropertyStart("links");
            leaf.links().forEach(this::place);
            json.writeEndArray();
        }
        if (leaf.allResources()) json.writeStringProperty("resources", LedgerReader.ALL);
        json.writeEndObject();
    }

    /**
     * Ends the ledger, after the last leaf. The files come last, so that whose ledger it is can be told from its end.
     *
     * @param folder in which the files lie that go along
     */
    public void end(List<Ledger.Font> fonts, List<Ledger.ProducedFile> files, List<Ledger.Enclosed> enclosed, String folder) {
        json.writeEndArray();
        json.writeArrayPropertyStart("fonts");
        for (Ledger.Font font : fonts) {
            newLine();
            json.writeStartObject();
            json.writeNumberProperty("file", font.file());
            json.writeStringProperty("face", font.face().key());
            json.writeStringProperty("name", font.name());
            json.writeNumberProperty("object", font.object());
            json.writeStringProperty("print", font.fingerprint());
            json.writeEndObject();
        }
        json.writeEndArray();
        enclosed(enclosed, folder);
        json.writeArrayPropertyStart("files");
        for (Ledger.ProducedFile file : files) {
            json.writeStartObject();
            json.writeStringProperty("name", file.name());
            json.writeStringProperty("output", file.output());
            json.writeStringProperty("identity", file.identity());
            json.writeNumberProperty("pages", file.pages());
            json.writeEndObject();
        }
        json.writeEndArray();
        json.writeEndObject();
        newLine();
    }

    private void enclosed(List<Ledger.Enclosed> files, String folder) {
        if (files.isEmpty()) return;
        json.writeStringProperty("folder", folder);
        json.writeArrayPropertyStart("enclosed");
        for (Ledger.Enclosed file : files) {
            newLine();
            json.writeStartObject();
            json.writeStringProperty("name", file.name());
            json.writeNumberProperty("bytes", file.bytes());
            json.writeStringProperty("sha256", file.sha256());
            json.writeEndObject();
        }
        json.writeEndArray();
    }

    @Override
    public void close() {
        json.close();
    }
}
