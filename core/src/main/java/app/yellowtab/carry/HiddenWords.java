package app.yellowtab.carry;

import app.yellowtab.facts.Length;
import app.yellowtab.facts.PageText;
import app.yellowtab.facts.RecognisedPage;
import app.yellowtab.model.page.LookedPage;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.output.MadeStream;
import app.yellowtab.pdf.PageFrame;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;
import java.util.zip.Deflater;
import java.util.zip.DeflaterOutputStream;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSObject;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.util.Matrix;
import org.jspecify.annotations.Nullable;

/**
 * Words that were read in the picture of a page, as text that is not seen (rendering mode 3, ISO 32000-1:2008, 9.3.6) and can be
 * found, selected and copied. Its font has one empty glyph for all characters, and gives each its Unicode value.
 */
final class HiddenWords {
    /** The font's name, by which it is known. */
    private static final String FONT_NAME = "YellowTabWords";
    private static final int QUARTER = 90;
    private static final int FULL = 360;
    private static final int EM = 1000;
    private static final double ADVANCE = 0.5;
    private static final int ASCENT = 800;
    private static final int DESCENT = -200;
    /** How far letters reach above the line and below it, in sizes of their font. */
    private static final double CAPITAL = 0.7;
    private static final double SMALL = 0.48;
    private static final double BELOW = 0.21;
    private static final String REACH_DOWN = "gjpqyQ,;()[]{}|/$@§";
    private static final String STAY_LOW = "acegmnopqrsuvwxyz.,:;-–—_~+=<>«»";
    private static final double LEAST_PT = 0.5;
    private static final int RANGES_A_BLOCK = 100;
    private static final int THOUSAND = 1000;
    private static final HexFormat HEX = HexFormat.of().withUpperCase();

    /** What the font is made of, packed once. */
    private static final class Packed {
        private static final byte[] PROGRAM = file();
        private static final byte[] FILE = pack(PROGRAM);
        private static final byte[] TO_GLYPHS = pack(toGlyphs());
        private static final byte[] TO_UNICODE = pack(toUnicode().getBytes(StandardCharsets.US_ASCII));
    }

    private HiddenWords() {}

    /** {@return whether an item is the font of such words} */
    static boolean isFont(COSBase item) {
        COSBase real = item instanceof COSObject reference ? reference.getObject() : item;
        return real instanceof COSDictionary font && FONT_NAME.equals(font.getNameAsString(COSName.BASE_FONT));
    }

    /** {@return the words of a page whose middles are seen with a look: a half of a sheet has those of that half} */
    static RecognisedPage seen(RecognisedPage page, PageFrame came, PageLook look) {
        if (look.crop().isEmpty()) return page;
        LookedPage looked = LookedPage.of(came.widthPt(), came.heightPt(), look);
        List<List<PageText.Word>> lines = new ArrayList<>();
        List<Integer> certainties = new ArrayList<>();
        int at = 0;
        for (List<PageText.Word> line : page.text().lines()) {
            List<PageText.Word> its = new ArrayList<>();
            for (PageText.Word word : line) {
                int certainty = page.certainties().get(at++);
                double[] box =
                        page.state().asCame(word.leftMm() * Length.PT_PER_MM, word.topMm() * Length.PT_PER_MM,
                                word.rightMm() * Length.PT_PER_MM,
                                (word.topMm() + word.heightMm()) * Length.PT_PER_MM, came.widthPt(), came.heightPt());
                if (!looked.shown().contains(looked.of((box[0] + box[2]) / 2, came.heightPt() - (box[1] + box[3]) / 2))) continue;
                its.add(word);
                certainties.add(certainty);
            }
            if (!its.isEmpty()) lines.add(its);
        }
        return new RecognisedPage(lines.isEmpty() ? PageText.NONE : new PageText(lines), certainties, page.languages(),
                page.engine(), page.state());
    }

    /**
     * {@return the operators that set words, in the page's own coordinates}
     *
     * @param page  the words, and how the page stands upright
     * @param came  what is seen of the page as it came
     * @param font  the name of the font among the page's resources
     */
    static String operators(RecognisedPage page, PageFrame came, String font) {
        PageFrame frame =
                new PageFrame(came.visible(), (came.rotation() + QUARTER * page.state().turns()) % FULL, came.userUnit());
        StringBuilder all = new StringBuilder("q\n");
        Matrix from = frame.fromReader();
        for (float value : new float[] {from.getScaleX(), from.getShearY(), from.getShearX(), from.getScaleY(),
                from.getTranslateX(), from.getTranslateY()})
            all.append(number(value)).append(' ');
        all.append("cm\nBT\n3 Tr\n");
        for (List<PageText.Word> line : page.text().lines()) {
            for (int i = 0; i < line.size(); i++)
                set(all, line.get(i), i + 1 < line.size() ? line.get(i + 1) : null, frame, font);
        }
        return all.append("ET\nQ\n").toString();
    }

    private static void set(StringBuilder all, PageText.Word word, PageText.@Nullable Word next, PageFrame frame, String font) {
        String text = basic(word.text());
        boolean reachesDown = text.chars().anyMatch(letter -> REACH_DOWN.indexOf(letter) >= 0);
        boolean staysLow = text.chars().allMatch(letter -> STAY_LOW.indexOf(letter) >= 0);
        double height = word.heightMm() * Length.PT_PER_MM;
        double size = Math.max(LEAST_PT, height / ((staysLow ? SMALL : CAPITAL) + (reachesDown ? BELOW : 0)));
        double x = word.leftMm() * Length.PT_PER_MM;
        double y = frame.heightPt() - (word.topMm() + word.heightMm()) * Length.PT_PER_MM + (reachesDown ? BELOW * size : 0);
        double width = Math.max(LEAST_PT, word.widthMm() * Length.PT_PER_MM);
        all.append('/').append(font).append(' ').append(number(size)).append(" Tf\n")
                .append(number(100 * width / (ADVANCE * size * text.length()))).append(" Tz\n1 0 0 1 ").append(number(x))
                .append(' ').append(number(y)).append(" Tm\n");
        hex(all, text).append(" Tj\n");
        if (next == null) return;
        // The space between words is a character, as wide as it is.
        double space = Math.max(LEAST_PT, (next.leftMm() - word.rightMm()) * Length.PT_PER_MM);
        all.append(number(100 * space / (ADVANCE * size))).append(" Tz\n<0020> Tj\n");
    }

    /** Characters beyond the first 65,536 have no code of their own in this font. */
    private static String basic(String text) {
        return text.codePointCount(0, text.length()) == text.length() ? text
                : text.codePoints().map(point -> Character.isBmpCodePoint(point) ? point : 0xFFFD)
                        .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append).toString();
    }

    private static StringBuilder hex(StringBuilder all, String text) {
        all.append('<');
        for (int i = 0; i < text.length(); i++) all.append(HEX.toHexDigits(text.charAt(i)));
        return all.append('>');
    }

    /** {@return a number with three decimals at most; written by hand, since there are thousands on a page} */
    private static String number(double value) {
        long thousandths = Math.round(Math.abs(value) * THOUSAND);
        StringBuilder digits = new StringBuilder(value < 0 && thousandths > 0 ? "-" : "").append(thousandths / THOUSAND);
        long rest = thousandths % THOUSAND;
        if (rest > 0) {
            digits.append('.').append(rest / 100).append(rest / 10 % 10).append(rest % 10);
            while (digits.charAt(digits.length() - 1) == '0') digits.setLength(digits.length() - 1);
        }
        return digits.toString();
    }

    /** {@return the font, made anew} It is the same wherever it is made (9.7.4, 9.10.3). */
    static COSDictionary font() {
        COSDictionary system = new COSDictionary();
        system.setString(COSName.REGISTRY, "Adobe");
        system.setString(COSName.ORDERING, "Identity");
        system.setInt(COSName.SUPPLEMENT, 0);
        COSDictionary described = new COSDictionary();
        described.setItem(COSName.TYPE, COSName.FONT_DESC);
        described.setName(COSName.FONT_NAME, FONT_NAME);
        described.setInt(COSName.FLAGS, 4);
        described.setItem(COSName.FONT_BBOX, numbers(0, DESCENT, (int) (ADVANCE * EM), ASCENT));
        described.setInt(COSName.ITALIC_ANGLE, 0);
        described.setInt(COSName.ASCENT, ASCENT);
        described.setInt(COSName.DESCENT, DESCENT);
        described.setInt(COSName.CAP_HEIGHT, ASCENT);
        described.setInt(COSName.STEM_V, 80);
        COSStream fontFile = stream(Packed.FILE);
        fontFile.setInt(COSName.LENGTH1, Packed.PROGRAM.length);
        described.setItem(COSName.FONT_FILE2, fontFile);
        COSDictionary glyphs = new COSDictionary();
        glyphs.setItem(COSName.TYPE, COSName.FONT);
        glyphs.setItem(COSName.SUBTYPE, COSName.CID_FONT_TYPE2);
        glyphs.setName(COSName.BASE_FONT, FONT_NAME);
        glyphs.setItem(COSName.CIDSYSTEMINFO, system);
        glyphs.setItem(COSName.FONT_DESC, described);
        glyphs.setInt(COSName.DW, (int) (ADVANCE * EM));
        glyphs.setItem(COSName.CID_TO_GID_MAP, stream(Packed.TO_GLYPHS));
        COSArray descendants = new COSArray();
        descendants.add(glyphs);
        COSDictionary font = new COSDictionary();
        font.setItem(COSName.TYPE, COSName.FONT);
        font.setItem(COSName.SUBTYPE, COSName.TYPE0);
        font.setName(COSName.BASE_FONT, FONT_NAME);
        font.setItem(COSName.ENCODING, COSName.IDENTITY_H);
        font.setItem(COSName.DESCENDANT_FONTS, descendants);
        font.setItem(COSName.TO_UNICODE, stream(Packed.TO_UNICODE));
        return font;
    }

    private static COSArray numbers(int... values) {
        COSArray array = new COSArray();
        for (int value : values) array.add(COSInteger.get(value));
        return array;
    }

    private static COSStream stream(byte[] packed) {
        COSStream stream = new MadeStream(packed);
        stream.setItem(COSName.FILTER, COSName.FLATE_DECODE);
        return stream;
    }

    private static byte[] pack(byte[] content) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        Deflater deflater = new Deflater(Deflater.BEST_COMPRESSION);
        try (DeflaterOutputStream out = new DeflaterOutputStream(bytes, deflater)) {
            out.write(content);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } finally {
            deflater.end();
        }
        return bytes.toByteArray();
    }

    /** Every code has the one empty glyph. */
    private static byte[] toGlyphs() {
        byte[] all = new byte[2 << Character.SIZE];
        for (int i = 1; i < all.length; i += 2) all[i] = 1;
        return all;
    }

    /** Each code is the character itself; a range may not go beyond its last byte (9.10.3). */
    private static String toUnicode() {
        StringBuilder map = new StringBuilder(
                "/CIDInit /ProcSet findresource begin\n12 dict begin\nbegincmap\n/CIDSystemInfo << /Registry (Adobe) /Ordering "
                        + "(UCS) /Supplement 0 >> def\n"
                        + "/CMapName /Adobe-Identity-UCS def\n/CMapType 2 def\n1 begincodespacerange\n<0000> "
                        + "<FFFF>\nendcodespacerange\n");
        List<Integer> rows = IntStream.range(0, 256).filter(row -> row < 0xD8 || row > 0xDF).boxed().toList();
        for (int first = 0; first < rows.size(); first += RANGES_A_BLOCK) {
            List<Integer> block = rows.subList(first, Math.min(rows.size(), first + RANGES_A_BLOCK));
            map.append(block.size()).append(" beginbfrange\n");
            for (int row : block)
                map.append(String.format(Locale.ROOT, "<%02X00> <%02XFF> <%02X00>%n", row, row, row).replace("\r", ""));
            map.append("endbfrange\n");
        }
        return map.append("endcmap\nCMapName currentdict /CMap defineresource pop\nend\nend\n").toString();
    }

    /** {@return a TrueType font program with two empty glyphs: what a descendant font needs of it (9.9, table 126)} */
    private static byte[] file() {
        byte[] head = shorts(1, 0, 1, 0, 0, 0, 0x5F0F, 0x3CF5, 0, EM, 0, 0, 0, 0, 0, 0, 0, 0, 0, DESCENT, (int) (ADVANCE * EM),
                ASCENT, 0, 8, 2, 0, 0);
        byte[] hhea = shorts(1, 0, ASCENT, DESCENT, 0, (int) (ADVANCE * EM), 0, 0, 0, 1, 0, 0, 0, 0, 0, 0, 0, 1);
        byte[] hmtx = shorts((int) (ADVANCE * EM), 0, 0);
        byte[] maxp = shorts(1, 0, 2, 0, 0, 0, 0, 1, 0, 0, 0, 0, 0, 0, 0, 0);
        String[] names = {"glyf", "head", "hhea", "hmtx", "loca", "maxp"};
        byte[][] tables = {new byte[2], head, hhea, hmtx, shorts(0, 0, 0), maxp};
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (DataOutputStream out = new DataOutputStream(bytes)) {
            out.writeInt(0x00010000);
            for (int value : new int[] {names.length, 64, 2, 32}) out.writeShort(value);
            int at = 12 + 16 * names.length;
            for (int i = 0; i < names.length; i++) {
                out.write(names[i].getBytes(StandardCharsets.US_ASCII));
                out.writeInt(sum(tables[i]));
                out.writeInt(at);
                out.writeInt(tables[i].length);
                at += tables[i].length + 3 & ~3;
            }
            for (byte[] table : tables) out.write(Arrays.copyOf(table, table.length + 3 & ~3));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }

    private static byte[] shorts(int... values) {
        byte[] bytes = new byte[2 * values.length];
        for (int i = 0; i < values.length; i++) {
            bytes[2 * i] = (byte) (values[i] >> 8);
            bytes[2 * i + 1] = (byte) values[i];
        }
        return bytes;
    }

    private static int sum(byte[] table) {
        int sum = 0;
        byte[] whole = Arrays.copyOf(table, table.length + 3 & ~3);
        for (int i = 0; i < whole.length; i += 4)
            sum += (whole[i] & 255) << 24 | (whole[i + 1] & 255) << 16 | (whole[i + 2] & 255) << 8 | whole[i + 3] & 255;
        return sum;
    }
}
