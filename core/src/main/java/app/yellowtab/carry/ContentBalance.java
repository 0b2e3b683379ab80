package app.yellowtab.carry;

/**
 * How many graphics states a page's content leaves open, or closes without having opened them (operators q and Q,
 * ISO 32000-1:2008, 8.4.2). What we draw on top must not inherit either.
 *
 * @param missingSaves how many more states are closed, at the worst place, than were opened
 * @param openSaves    how many states are open at the end, once the missing ones are supplied
 */
public record ContentBalance(int missingSaves, int openSaves) {

    /** Content that closes all it opens. */
    public static final ContentBalance EVEN = new ContentBalance(0, 0);

    /** {@return the balance of a decoded content stream; strings, comments and inline pictures are passed over} */
    static ContentBalance of(byte[] content) {
        return new Scan(content).run();
    }

    /** One pass over one stream. */
    private static final class Scan {
        private final byte[] bytes;
        private int at;
        private int depth;
        private int lowest;

        Scan(byte[] bytes) {
            this.bytes = bytes;
        }

        ContentBalance run() {
            while (at < bytes.length) {
                byte b = bytes[at];
                if (b == '(') skipString();
                else if (b == '<') skipHex();
                else if (b == '%') skipComment();
                else if (isRegular(b)) word();
                else at++;
            }
            return new ContentBalance(-lowest, depth - lowest);
        }

        private void word() {
            int start = at;
            boolean name = start > 0 && bytes[start - 1] == '/';
            while (at < bytes.length && isRegular(bytes[at])) at++;
            if (name) return;
            int length = at - start;
            if (length == 1 && bytes[start] == 'q') depth++;
            else if (length == 1 && bytes[start] == 'Q') lowest = Math.min(lowest, --depth);
            else if (length == 2 && bytes[start] == 'I' && bytes[start + 1] == 'D') skipInlinePicture();
        }

        private void skipInlinePicture() {
            for (int i = at + 1; i + 2 < bytes.length; i++) {
                boolean end = isSpace(bytes[i]) && bytes[i + 1] == 'E' && bytes[i + 2] == 'I'
                        && (i + 3 == bytes.length || isSpace(bytes[i + 3])) && looksLikeContent(i + 3);
                if (end) {
                    at = i + 3;
                    return;
                }
            }
            at = bytes.length;
        }

        /** Picture data may hold the letters EI by chance; real content after it is plain text. */
        private boolean looksLikeContent(int from) {
            for (int i = from; i < Math.min(from + 12, bytes.length); i++) {
                if (bytes[i] < 9 || bytes[i] > 13 && bytes[i] < 32) return false;
            }
            return true;
        }

        private void skipString() {
            int open = 0;
            for (; at < bytes.length; at++) {
                if (bytes[at] == '\\') at++;
                else if (bytes[at] == '(') open++;
                else if (bytes[at] == ')' && --open == 0) break;
            }
            at++;
        }

        private void skipHex() {
            if (at + 1 < bytes.length && bytes[at + 1] == '<') at += 2;
            else while (at < bytes.length && bytes[at++] != '>') continue;
        }

        private void skipComment() {
            while (at < bytes.length && bytes[at] != '\n' && bytes[at] != '\r') at++;
        }

        private static boolean isSpace(byte b) {
            return b == ' ' || b == '\n' || b == '\r' || b == '\t' || b == '\f' || b == 0;
        }

        private static boolean isRegular(byte b) {
            return !isSpace(b) && "()<>[]{}/%".indexOf(b) < 0;
        }
    }
}
