package app.yellowtab.convert.flow;

import app.yellowtab.convert.page.Xml;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;

/** How changed text is marked where changes are shown. */
public final class TrackedChanges {
    public static final Props INSERTED = props("<r><u val='single'/><color val='2F5D7C'/></r>");
    public static final Props DELETED = props("<r><strike/><color val='A63D2F'/></r>");
    public static final Props SANS = props("<r><rFonts ascii='Arial'/></r>");

    private TrackedChanges() {}

    private static Props props(String xml) {
        try {
            return Props.of(Xml.read(xml.getBytes(StandardCharsets.UTF_8)));
        } catch (IOException ourOwn) {
            throw new UncheckedIOException(ourOwn);
        }
    }
}
