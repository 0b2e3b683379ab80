package app.yellowtab.redact;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.facts.PageText;
import app.yellowtab.facts.RecognisedPage;
import app.yellowtab.facts.SheetState;
import app.yellowtab.redact.SeenWords.Said;
import java.awt.Color;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Words stand side by side, 20 mm wide and 4 mm high, on lines that are 8 mm apart. */
class SeenWordsTests {
    private static List<Said> said(int line, String... words) {
        List<Said> said = new ArrayList<>();
        for (int i = 0; i < words.length; i++)
            said.add(new Said(words[i], new Rectangle2D.Double(20 + 25 * i, 20 + 8 * line, 20, 4)));
        return said;
    }

    private static boolean belong(List<Said> words, List<Said> read, int certainty) {
        List<PageText.Word> line = read.stream().map(one -> new PageText.Word(one.word(), (float) one.box().getX(),
                (float) one.box().getY(), (float) one.box().getWidth(), (float) one.box().getHeight())).toList();
        return SeenWords.belong(words, new RecognisedPage(line.isEmpty() ? PageText.NONE : new PageText(List.of(line)),
                Collections.nCopies(line.size(), certainty), "eng", "", SheetState.SOUND), 210, 297);
    }

    @Test
    void wordsBelongToThePictureInWhichTheyAreRead() {
        List<Said> words = said(1, "Harvest", "ledger", "chamber", "opened");
        assertThat(belong(words, said(1, "Harvest", "ledgcr", "charnber,", "0pened"), 90)).as("misread").isTrue();
        assertThat(belong(words, said(1, "weighed", "nothing", "before", "Tuesday"), 90)).as("a line off").isFalse();
        assertThat(belong(words, said(1, "weighed", "nothing", "before", "Tuesday"), 40)).as("read doubtfully").isTrue();
        assertThat(belong(words, said(2, "weighed", "nothing", "before", "Tuesday"), 90)).as("stands elsewhere").isTrue();
        assertThat(belong(words, said(1, "Harvest", "ledger", "before", "Tuesday"), 90)).as("half of them").isTrue();
        assertThat(belong(said(1, "Harvest", "12", "the"), said(1, "weighed", "13", "and"), 90)).as("too few").isTrue();
        assertThat(belong(words, List.of(), 90)).as("nothing was read").isTrue();
        List<Said> misread = said(1, "Ypoxan", "xypnan", "kamepa", "otkpbita");
        List<Said> foreign = said(1, "Урожай", "журнал", "камера", "открыта");
        assertThat(belong(foreign, misread, 90)).as("of another script").isTrue();
    }

    @Test
    void whatIsPaleIsSeenAndWhatIsAsPaleAsThePaperIsNot() {
        BufferedImage picture = new BufferedImage(210, 297, BufferedImage.TYPE_INT_RGB);
        var on = picture.createGraphics();
        on.setColor(Color.WHITE);
        on.fillRect(0, 0, 210, 297);
        on.setColor(new Color(255, 255, 190));
        on.fillRect(50, 50, 20, 4);
        on.setColor(new Color(250, 250, 250));
        on.fillRect(50, 100, 20, 4);
        on.dispose();
        assertThat(SeenWords.isSeen(picture, share(45, 49, 30, 6))).as("yellow on white").isTrue();
        assertThat(SeenWords.isSeen(picture, share(45, 99, 30, 6))).isFalse();
        assertThat(SeenWords.isSeen(picture, share(-20, -20, 10, 10))).as("beside the page").isFalse();
    }

    private static Rectangle2D share(double x, double y, double wide, double high) {
        return new Rectangle2D.Double(x / 210, y / 297, wide / 210, high / 297);
    }
}
