package app.yellowtab.content;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.Set;
import org.apache.pdfbox.cos.COSName;

/**
 * What a strict reading of a decoded content stream finds (ISO 32000-1:2008, 7.8.2). Content that is not sound in every
 * operator is read by each viewer in its own way: what follows it may not be seen, and what it needs cannot be told.
 *
 * @param missingSaves how many more graphics states are closed, at the worst place, than were opened (operators q and Q, 8.4.2)
 * @param openSaves    how many states are open at the end, once the missing ones are supplied
 * @param isSound      whether every operator is known, stands after what it takes, and all that is opened is closed
 * @param hasPictures  whether it has inline pictures, whose end each viewer looks for in its own way
 * @param names        what it draws with; more than is known here where it is not sound
 */
public record ContentScan(int missingSaves, int openSaves, boolean isSound, boolean hasPictures, Set<ResourceName> names) {
    /** Nothing, or what is known to be even and to need nothing. */
    public static final ContentScan EMPTY = new ContentScan(0, 0, true, false, Set.of());

    private static final Charset WINDOWS = Charset.forName("windows-1252");

    public ContentScan {
        names = Set.copyOf(names);
    }

    /** {@return whether every viewer comes to its end, so that what follows it is seen} */
    public boolean isReadAlike() {
        return isSound && !hasPictures;
    }

    /** Reads decoded content, of a page all its streams with white space between. */
    public static ContentScan of(byte[] content) {
        return new Scan(content).run();
    }

    /** One pass over one content. */
    private static final class Scan {
        /** More operands than any operator takes; other readers give up there too. */
        private static final int MOST_OPERANDS = 33;
        private static final int DEEPEST = 60;

        private final byte[] bytes;
        private final Set<ResourceName> names = new HashSet<>();
        private final byte[] kinds = new byte[MOST_OPERANDS];
        private int count;
        private int nameStart;
        private int nameEnd;
        private int at;
        private int depth;
        private int lowest;
        private int marks;
        private boolean text;
        private boolean path;
        private boolean sound = true;
        private boolean pictures;

        Scan(byte[] bytes) {
            this.bytes = bytes;
        }

        ContentScan run() {
            while (skipSpace()) {
                byte kind = operand(0);
                if (kind == 0) operator();
                else if (count < MOST_OPERANDS) kinds[count++] = kind;
                else sound = false;
            }
            sound &= count == 0 && !text && !path && marks == 0;
            return new ContentScan(-lowest, depth - lowest, sound, pictures, names);
        }

        /** {@return whether something follows} */
        private boolean skipSpace() {
            while (at < bytes.length) {
                byte b = bytes[at];
                if (b == '%') {
                    while (at < bytes.length && bytes[at] != '\n' && bytes[at] != '\r') at++;
                } else if (isSpace(b)) {
                    at++;
                } else {
                    return true;
                }
            }
            return false;
        }

        /** Passes over an operand; {@return its kind, or 0 if what stands here is none} */
        private byte operand(int deep) {
            if (deep > DEEPEST) {
                sound = false;
                at = bytes.length;
                return 'a';
            }
            byte b = bytes[at];
            switch (b) {
                case '(' -> string();
                case '/' -> name();
                case '[' -> {
                    at++;
                    return inside((byte) ']', 1, deep);
                }
                case '<' -> {
                    if (at + 1 < bytes.length && bytes[at + 1] == '<') {
                        at += 2;
                        return inside((byte) '>', 2, deep);
                    }
                    hexadecimal();
                }
                default -> {
                    return b == '+' || b == '-' || b == '.' || isDigit(b) ? number() : word(deep);
                }
            }
            return (byte) (b == '/' ? '/' : 's');
        }

        /** Passes over all that stands inside an array or a dictionary. */
        private byte inside(byte end, int length, int deep) {
            while (skipSpace()) {
                if (bytes[at] == end && (length == 1 || at + 1 < bytes.length && bytes[at + 1] == end)) {
                    at += length;
                    return (byte) (length == 1 ? 'a' : 'd');
                }
                if (operand(deep + 1) == 0) break;
            }
            sound = false;
            return (byte) (length == 1 ? 'a' : 'd');
        }

        /** Passes over a word that is an operand; inside of an array or a dictionary nothing else may stand. */
        private byte word(int deep) {
            int end = at;
            while (end < bytes.length && isRegular(bytes[end])) end++;
            if (is("true", end) || is("false", end) || is("null", end)) {
                at = end;
                return 'b';
            }
            if (end == at || deep > 0) sound = false;
            if (end == at) at++;
            return 0;
        }

        private boolean is(String word, int end) {
            if (end - at != word.length()) return false;
            for (int i = 0; i < word.length(); i++) if (bytes[at + i] != word.charAt(i)) return false;
            return true;
        }

        private byte number() {
            int digits = 0;
            int points = 0;
            if (bytes[at] == '+' || bytes[at] == '-') at++;
            for (; at < bytes.length && isRegular(bytes[at]); at++) {
                if (isDigit(bytes[at])) digits++;
                else if (bytes[at] == '.') points++;
                else sound = false;
            }
            sound &= digits > 0 && points < 2;
            return 'n';
        }

        private void name() {
            nameStart = ++at;
            while (at < bytes.length && isRegular(bytes[at])) at++;
            nameEnd = at;
        }

        private void string() {
            int open = 0;
            for (; at < bytes.length; at++) {
                if (bytes[at] == '\\') at++;
                else if (bytes[at] == '(') open++;
                else if (bytes[at] == ')' && --open == 0) break;
            }
            sound &= open == 0 && at < bytes.length;
            at++;
        }

        private void hexadecimal() {
            for (at++; at < bytes.length && bytes[at] != '>'; at++) {
                byte b = bytes[at];
                sound &= isDigit(b) || b >= 'a' && b <= 'f' || b >= 'A' && b <= 'F' || isSpace(b);
            }
            sound &= at < bytes.length;
            at++;
        }

        private void operator() {
            int start = at;
            while (at < bytes.length && isRegular(bytes[at])) at++;
            Operators.Operator operator = at == start ? null : Operators.at(bytes, start, at - start);
            if (operator == null) {
                sound = false;
            } else {
                sound &= operator.takes(kinds, count);
                act(operator);
            }
            count = 0;
        }

        private void act(Operators.Operator operator) {
            if (operator.naming() != null && count > 0 && (kinds[count - 1] == '/' || operator.naming() == COSName.FONT)) {
                names.add(new ResourceName(operator.naming(), nameAt(nameStart, nameEnd)));
            }
            if (operator.isOpen()) path = true;
            if (operator.isPaint()) path = false;
            switch (operator.name()) {
                case "q" -> depth++;
                case "Q" -> lowest = Math.min(lowest, --depth);
                case "BT" -> {
                    sound &= !text;
                    text = true;
                }
                case "ET" -> {
                    sound &= text;
                    text = false;
                }
                case "BMC", "BDC" -> marks++;
                case "EMC" -> sound &= --marks >= 0;
                case "BI" -> {
                    pictures = true;
                    picture();
                }
                default -> {}
            }
        }

        /** Passes over an inline picture (8.9.7): its entries, its data, and its end. */
        private void picture() {
            boolean coloured = false;
            while (skipSpace() && bytes[at] == '/') {
                name();
                COSName key = nameAt(nameStart, nameEnd);
                coloured = key.getName().equals("CS") || key.getName().equals("ColorSpace");
                if (!skipSpace()) break;
                byte kind = operand(0);
                if (kind == 0) break;
                if (coloured && kind == '/') names.add(new ResourceName(COSName.COLORSPACE, nameAt(nameStart, nameEnd)));
            }
            if (at + 2 >= bytes.length || bytes[at] != 'I' || bytes[at + 1] != 'D' || !isSpace(bytes[at + 2])) {
                sound = false;
                return;
            }
            for (int i = at + 3; i + 1 < bytes.length; i++) {
                if (bytes[i] != 'E' || bytes[i + 1] != 'I' || i + 2 < bytes.length && !isSpace(bytes[i + 2])) continue;
                if (looksLikeContent(i + 2)) {
                    at = i + 2;
                    return;
                }
                // It may be the end all the same, with something unusual after it: then what follows was not read.
                sound &= !isSpace(bytes[i - 1]);
            }
            sound = false;
            at = bytes.length;
        }

        /** Picture data may hold the letters EI by chance; real content after it is plain text. */
        private boolean looksLikeContent(int from) {
            for (int i = from; i < Math.min(from + 12, bytes.length); i++) {
                if (bytes[i] < 9 || bytes[i] > 13 && bytes[i] < 32) return false;
            }
            return true;
        }

        /** {@return a name as the library reads it: in UTF-8, or else in the Windows code page; #xx is one byte (7.3.5)} */
        private COSName nameAt(int start, int end) {
            byte[] plain = new byte[end - start];
            int length = 0;
            for (int i = start; i < end; i++) {
                int high = i + 2 < end && bytes[i] == '#' ? Character.digit(bytes[i + 1], 16) : -1;
                int low = high < 0 ? -1 : Character.digit(bytes[i + 2], 16);
                plain[length++] = low < 0 ? bytes[i] : (byte) (high << 4 | low);
                if (low >= 0) i += 2;
            }
            ByteBuffer name = ByteBuffer.wrap(plain, 0, length);
            try {
                return COSName.getPDFName(StandardCharsets.UTF_8.newDecoder().decode(name).toString());
            } catch (CharacterCodingException older) {
                return COSName.getPDFName(new String(plain, 0, length, WINDOWS));
            }
        }

        private static boolean isDigit(byte b) {
            return b >= '0' && b <= '9';
        }

        private static boolean isSpace(byte b) {
            return b == ' ' || b == '\n' || b == '\r' || b == '\t' || b == '\f' || b == 0;
        }

        private static boolean isRegular(byte b) {
            return !isSpace(b) && "()<>[]{}/%".indexOf(b) < 0;
        }
    }
}
