package app.yellowtab.find;

import app.yellowtab.carry.annotation.RedactedContent;
import app.yellowtab.input.PdfInput;
import app.yellowtab.leaf.Content;
import app.yellowtab.pdf.PageFrame;
import app.yellowtab.source.SourceFiles;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.cos.COSString;
import org.apache.pdfbox.pdmodel.PDPage;

/** What comments on pages say: words, subject and author (ISO 32000-1:2008, 12.5.6.2). */
final class CommentWords {
    private static final List<COSName> SAY = List.of(COSName.CONTENTS, COSName.RC, COSName.T, COSName.SUBJ);
    private static final Pattern TAGS = Pattern.compile("<[^>]*>");

    private CommentWords() {}

    /**
     * {@return what each comment on pages of one source says that comes over with them} Those that touch what is redacted go with
     * it.
     *
     * @throws IOException if the file is gone, is locked or cannot be made out
     */
    static List<String> on(List<Content.SourcePage> pages, SourceFiles files) throws IOException {
        List<String> all = new ArrayList<>();
        try (PdfInput input = files.open(pages.getFirst().source())) {
            for (Content.SourcePage page : pages) {
                if (page.page() > input.pages().size()) continue;
                COSDictionary its = input.pages().get(page.page() - 1);
                COSArray comments = its.getCOSArray(COSName.ANNOTS);
                for (int i = 0; comments != null && i < comments.size(); i++) {
                    if (comments.getObject(i) instanceof COSDictionary comment && !RedactedContent.touches(comment,
                            RedactedContent.areas(page.look().redactions(), PageFrame.of(new PDPage(its)))))
                        all.add(said(comment));
                }
            }
        }
        return all.stream().filter(words -> !words.isBlank()).distinct().toList();
    }

    private static String said(COSDictionary comment) {
        StringBuilder words = new StringBuilder();
        for (COSName name : SAY) {
            COSBase value = comment.getDictionaryObject(name);
            String text = value instanceof COSString plain ? plain.getString()
                    : value instanceof COSStream stream ? stream.toTextString() : "";
            if (!text.isBlank()) words.append(TAGS.matcher(text).replaceAll(" ")).append(' ');
        }
        return words.toString().strip();
    }
}
