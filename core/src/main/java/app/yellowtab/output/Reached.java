package app.yellowtab.output;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSStream;
import org.jspecify.annotations.Nullable;

/** An object that was reached: its written form, with gaps where it refers to others. */
public final class Reached {
    /** Such as "1234567 0 R". */
    private static final int MOST_REFERENCE = 12;
    /** Its head, its end, and its place in the table of objects. */
    private static final int AROUND = 80;

    private final COSBase base;
    private final byte[] text;
    private final List<ObjectText.Gap> gaps;
    /** For each gap the object that was reached, or null where it stands for a leaf or a font of ours. */
    private final @Nullable Reached[] targets;
    boolean isOpen = true;
    /** Whether it leads back to itself, or to something that does; such an object is never shared. */
    boolean isCyclic;
    byte @Nullable [] fingerprint;
    String rawHash = "";
    long rawLength;
    /** Its number in the produced file; 0 until it is written. */
    int number;

    Reached(COSBase base, byte[] text, List<ObjectText.Gap> gaps) {
        this.base = base;
        this.text = text;
        this.gaps = gaps;
        this.targets = new Reached[gaps.size()];
    }

    /** {@return the dictionary, array or stream} */
    public COSBase base() {
        return base;
    }

    /** {@return the stream that it is, or null for any other object} */
    @Nullable
    COSStream stream() {
        return base instanceof COSStream stream ? stream : null;
    }

    /** {@return what it refers to itself, but for leaves and our fonts} */
    List<Reached> needed() {
        return Arrays.stream(targets).filter(Objects::nonNull).toList();
    }

    /** {@return what tells it from others; alike objects that lead to nothing that leads back have the same} */
    long identity() {
        byte[] its = fingerprint;
        return its == null ? System.identityHashCode(this) : ByteBuffer.wrap(its).getLong();
    }

    /** {@return how many bytes it takes in a file, if nothing of it is packed} */
    long mostBytes() {
        return text.length + (long) targets.length * MOST_REFERENCE + rawLength + AROUND;
    }

    int gapCount() {
        return targets.length;
    }

    COSBase target(int gap) {
        return gaps.get(gap).target();
    }

    void lead(int gap, Reached to) {
        targets[gap] = to;
    }

    /** Fills the gaps of an object's text. */
    interface Filler {
        void reached(Reached object, ByteSink out);

        void leaf(int number, ByteSink out);

        void font(FontReference font, ByteSink out);
    }

    /** Appends the text with its gaps filled. */
    void write(ByteSink out, Filler filler) {
        int done = 0;
        for (int i = 0; i < targets.length; i++) {
            int at = gaps.get(i).at();
            out.write(text, done, at - done);
            done = at;
            Reached target = targets[i];
            if (target != null) filler.reached(target, out);
            else if (gaps.get(i).target() instanceof ObjectNumber leaf) filler.leaf(leaf.number(), out);
            else filler.font((FontReference) gaps.get(i).target(), out);
        }
        out.write(text, done, text.length - done);
    }

    /** How leaves and our fonts stand in fingerprints; what other objects do is said by the sub-class. */
    abstract static class Fingerprints implements Filler {
        @Override
        public void leaf(int number, ByteSink out) {
            out.text("leaf ");
            out.number(number);
        }

        @Override
        public void font(FontReference font, ByteSink out) {
            out.write(font.face().key().getBytes(StandardCharsets.UTF_8));
        }
    }
}
