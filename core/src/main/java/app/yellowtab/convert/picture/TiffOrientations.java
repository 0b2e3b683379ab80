package app.yellowtab.convert.picture;

import java.io.EOFException;
import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** Reads which way up each picture of a TIFF is (TIFF 6.0, section 2 and tag 274), and no more of the file than that takes. */
final class TiffOrientations {
    private static final int TAG = 274;
    private static final int BYTE = 1;
    private static final int SHORT = 3;
    private static final int MOST_PICTURES = 100_000;

    private final RandomAccessFile file;
    private final boolean littleEndian;

    private TiffOrientations(RandomAccessFile file) throws IOException {
        this.file = file;
        this.littleEndian = file.read() == 'I';
    }

    /** {@return for each picture in the file a number from 1 to 8; 1 where none is stated} What cannot be read ends the list. */
    static List<Integer> of(Path tiff) throws IOException {
        List<Integer> found = new ArrayList<>();
        try (RandomAccessFile file = new RandomAccessFile(tiff.toFile(), "r")) {
            new TiffOrientations(file).read(found);
        } catch (EOFException cut) {
            return found;
        }
        return found;
    }

    private void read(List<Integer> found) throws IOException {
        Set<Long> seen = new HashSet<>();
        long directory = number(4, 4);
        while (directory > 0 && seen.add(directory) && found.size() < MOST_PICTURES) {
            int entries = (int) number(directory, 2);
            int orientation = 1;
            for (int i = 0; i < entries; i++) {
                long entry = directory + 2 + 12L * i;
                if (number(entry, 2) != TAG) continue;
                int type = (int) number(entry + 2, 2);
                long value = number(entry + 8, type == BYTE ? 1 : type == SHORT ? 2 : 4);
                if (value >= 1 && value <= 8) orientation = (int) value;
            }
            found.add(orientation);
            directory = number(directory + 2 + 12L * entries, 4);
        }
    }

    private long number(long at, int bytes) throws IOException {
        file.seek(at);
        byte[] read = new byte[bytes];
        file.readFully(read);
        long value = 0;
        for (int i = 0; i < bytes; i++) value = value << 8 | read[littleEndian ? bytes - 1 - i : i] & 0xFF;
        return value;
    }
}
