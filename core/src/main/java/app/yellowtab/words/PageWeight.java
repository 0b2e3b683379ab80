package app.yellowtab.words;

import java.util.HashSet;
import java.util.Set;

/** How much a page takes in a file of its own, thing by thing, so that what several pages share is counted once. Immutable. */
public final class PageWeight {
    /** Nobody has measured it. */
    public static final PageWeight UNKNOWN = new PageWeight(new long[0], new long[0]);

    /** What a file takes without any page: its head, its catalog, what it says of itself. */
    private static final long FILE_BYTES = 2_000;

    private final long[] things;
    private final long[] bytes;

    /**
     * @param things what tells each thing from others
     * @param bytes  that each takes at most
     */
    public PageWeight(long[] things, long[] bytes) {
        if (things.length != bytes.length) throw new IllegalArgumentException("each thing needs its bytes");
        this.things = things.clone();
        this.bytes = bytes.clone();
    }

    /** The pages of a piece, one after the other. */
    public static final class Sum {
        private final Set<Long> counted = new HashSet<>();
        private long bytes = FILE_BYTES;

        /** A file without any page. */
        public Sum() {
            // Nothing is needed.
        }

        /** Begins anew. */
        public void clear() {
            counted.clear();
            bytes = FILE_BYTES;
        }

        /** {@return the bytes with one more page} */
        public long with(PageWeight page) {
            long more = bytes;
            for (int i = 0; i < page.things.length; i++) if (!counted.contains(page.things[i])) more += page.bytes[i];
            return more;
        }

        /** Takes a page in. */
        public void add(PageWeight page) {
            for (int i = 0; i < page.things.length; i++) if (counted.add(page.things[i])) bytes += page.bytes[i];
        }

        /** {@return how many bytes a file of them takes, at most} */
        public long bytes() {
            return bytes;
        }
    }
}
