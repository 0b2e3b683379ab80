package app.yellowtab.convert.rtf;

import app.yellowtab.convert.flow.Frame;
import app.yellowtab.convert.page.Notes;
import app.yellowtab.finding.Finding.Code;
import com.rtfparserkit.parser.RtfStreamSource;
import com.rtfparserkit.parser.standard.StandardRtfParser;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import org.apache.pdfbox.pdmodel.PDDocument;

/**
 * Sets a document in the Rich Text Format (specification 1.9.1) on pages. Numbers of paragraphs stand in the file as text, and
 * are taken as they are.
 */
public final class RtfPages {
    private RtfPages() {}

    /**
     * Adds the pages of a file.
     *
     * @param showChanges whether tracked changes are marked instead of accepted
     * @param showComments whether comments stand in the text
     * @param notes       takes what the pages lack
     */
    public static void add(PDDocument document, Path file, boolean showChanges, boolean showComments, Notes notes)
            throws IOException {
        RtfReader reader = new RtfReader(showChanges, showComments, notes);
        try (InputStream in = new BufferedInputStream(Files.newInputStream(file))) {
            new StandardRtfParser().parse(new RtfStreamSource(in), reader);
        }
        Frame.addAll(document, reader.frames(), reader.countsPages(), notes);
        if (reader.comments() > 0)
            notes.say(showComments ? Code.COMMENTS_KEPT : Code.COMMENTS_DROPPED, String.valueOf(reader.comments()));
        if (reader.changes() > 0)
            notes.say(showChanges ? Code.CHANGES_SHOWN : Code.CHANGES_ACCEPTED, String.valueOf(reader.changes()));
    }
}
