package app.yellowtab.picture;

import app.yellowtab.draw.DrawnPage;
import app.yellowtab.files.Drafts;
import app.yellowtab.files.Folders;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicLong;
import java.util.stream.Stream;
import java.util.zip.Deflater;
import java.util.zip.DeflaterOutputStream;
import java.util.zip.InflaterInputStream;
import org.slf4j.LoggerFactory;

/**
 * Pictures of pages on the disk, in a folder that only the user may look into. They may go at any time: whatever is wrong with
 * one, it is drawn anew. Safe to share between threads and between programs.
 */
public final class PictureFiles {
    /** As many bytes as pictures may take up; chosen by us: a hundred thousand pages at the size of a stamp. */
    public static final long MOST_BYTES = 1L << 30;
    /** Keeps none. */
    public static final PictureFiles NONE = new PictureFiles(Path.of(""), 0);

    /** "YTpi". */
    private static final int MAGIC = 0x59547069;
    private static final int LARGEST_SIDE = 20_000;
    /** One that is used is noted as such at most so often. */
    private static final Duration NOTED = Duration.ofHours(12);

    private final Path folder;
    private final long mostBytes;
    private final AtomicLong written = new AtomicLong();

    /**
     * @param folder    need not be there yet
     * @param mostBytes as many as all of them may take up
     */
    public PictureFiles(Path folder, long mostBytes) {
        this.folder = folder;
        this.mostBytes = mostBytes;
    }

    /** {@return a picture; empty if it is not there, or no longer sound} */
    Optional<DrawnPage> read(String name) {
        if (mostBytes == 0) return Optional.empty();
        Path file = file(name);
        try (DataInputStream in =
                new DataInputStream(new InflaterInputStream(new BufferedInputStream(Files.newInputStream(file), 1 << 16)))) {
            DrawnPage page = read(in);
            noteUse(file);
            return Optional.of(page);
        } catch (NoSuchFileException none) {
            return Optional.empty();
        } catch (IOException | RuntimeException e) {
            LoggerFactory.getLogger(PictureFiles.class).info("drawn anew: {}", file, e);
            return Optional.empty();
        }
    }

    private static void noteUse(Path file) throws IOException {
        Instant now = Instant.now();
        if (Files.getLastModifiedTime(file).toInstant().isBefore(now.minus(NOTED)))
            Files.setLastModifiedTime(file, FileTime.from(now));
    }

    private static DrawnPage read(DataInputStream in) throws IOException {
        if (in.readInt() != MAGIC) throw new IOException("no picture");
        int width = in.readInt();
        int height = in.readInt();
        if (width < 1 || height < 1 || width > LARGEST_SIDE || height > LARGEST_SIDE)
            throw new IOException("no picture of that size");
        float widthPt = in.readFloat();
        float heightPt = in.readFloat();
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        int[] pixels = ((DataBufferInt) image.getRaster().getDataBuffer()).getData();
        byte[] row = new byte[3 * width];
        for (int y = 0; y < height; y++) {
            in.readFully(row);
            int r = 0;
            int g = 0;
            int b = 0;
            for (int x = 0, at = 0; x < width; x++, at += 3) {
                r = r + row[at] & 0xFF;
                g = g + row[at + 1] & 0xFF;
                b = b + row[at + 2] & 0xFF;
                pixels[y * width + x] = r << 16 | g << 8 | b;
            }
        }
        // Reading to the end is what checks the sum (RFC 1950, 2.2).
        if (in.read() != -1) throw new IOException("more than a picture");
        return new DrawnPage(image, widthPt, heightPt, 0);
    }

    /** Keeps a picture; where that fails it is drawn anew another time. */
    void keep(String name, DrawnPage page) {
        if (mostBytes == 0) return;
        Path file = file(name);
        try {
            Folders.createForUserOnly(folder);
            Files.createDirectories(file.getParent());
            Path draft = Drafts.beside(file);
            try {
                try (OutputStream out = Files.newOutputStream(draft)) {
                    write(page, out);
                }
                written.addAndGet(Files.size(draft));
                Drafts.move(draft, file);
            } finally {
                Files.deleteIfExists(draft);
            }
        } catch (IOException | RuntimeException e) {
            LoggerFactory.getLogger(PictureFiles.class).info("not kept: {}", file, e);
        }
        if (written.get() > mostBytes / 10) sweep();
    }

    /** Neighbours differ little: their differences pack better than they do. */
    private static void write(DrawnPage page, OutputStream to) throws IOException {
        BufferedImage image = page.image();
        Deflater fast = new Deflater(Deflater.BEST_SPEED);
        try (DataOutputStream out =
                new DataOutputStream(new BufferedOutputStream(new DeflaterOutputStream(to, fast, 1 << 15), 1 << 15))) {
            out.writeInt(MAGIC);
            out.writeInt(image.getWidth());
            out.writeInt(image.getHeight());
            out.writeFloat(page.widthPt());
            out.writeFloat(page.heightPt());
            int[] pixels = new int[image.getWidth()];
            byte[] row = new byte[3 * image.getWidth()];
            for (int y = 0; y < image.getHeight(); y++) {
                image.getRGB(0, y, pixels.length, 1, pixels, 0, pixels.length);
                int before = 0;
                for (int x = 0, at = 0; x < pixels.length; x++, at += 3) {
                    row[at] = (byte) ((pixels[x] >> 16) - (before >> 16));
                    row[at + 1] = (byte) ((pixels[x] >> 8) - (before >> 8));
                    row[at + 2] = (byte) (pixels[x] - before);
                    before = pixels[x];
                }
                out.write(row);
            }
        } finally {
            fast.end();
        }
    }

    private Path file(String name) {
        return folder.resolve(name.substring(0, 2)).resolve(name);
    }

    /** Deletes those that were not used for longest until the others have room, and what programs left that were killed. */
    public synchronized void sweep() {
        written.set(0);
        if (mostBytes == 0 || !Files.exists(folder)) return;
        try (Stream<Path> all = Files.walk(folder, 2)) {
            List<Kept> files =
                    all.filter(Files::isRegularFile).map(Kept::of).sorted(Comparator.comparing(Kept::used).reversed()).toList();
            long sum = 0;
            for (Kept file : files) {
                sum += file.bytes;
                boolean isLeft = Drafts.is(file.path) && file.used.isBefore(Instant.now().minus(NOTED));
                // A little more than must go, so that it is not gone through again at once.
                if (isLeft || sum > mostBytes - mostBytes / 5) Files.deleteIfExists(file.path);
            }
        } catch (IOException | RuntimeException e) {
            LoggerFactory.getLogger(PictureFiles.class).info("not swept: {}", folder, e);
        }
    }

    /** A file in the folder. */
    private record Kept(Path path, long bytes, Instant used) {
        static Kept of(Path path) {
            try {
                return new Kept(path, Files.size(path), Files.getLastModifiedTime(path).toInstant());
            } catch (IOException gone) {
                return new Kept(path, 0, Instant.EPOCH);
            }
        }
    }
}
