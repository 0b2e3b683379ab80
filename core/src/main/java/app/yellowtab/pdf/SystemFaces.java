package app.yellowtab.pdf;

import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import java.io.ByteArrayInputStream;
import java.io.File;
import java.io.IOException;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.apache.fontbox.ttf.OS2WindowsMetricsTable;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.fontbox.util.autodetect.FontFileFinder;
import org.apache.pdfbox.io.RandomAccessReadBufferedFile;
import org.jspecify.annotations.Nullable;
import org.slf4j.LoggerFactory;

/**
 * The typefaces of the machine that may be embedded in part: TrueType fonts whose makers allow it. Looked for once, when first
 * asked for.
 */
public final class SystemFaces {
    /** Where the measured letters end. */
    private static final int MEASURED = 0x2600;

    private SystemFaces() {}

    /** {@return one finding for each of some typefaces that this machine lacks, or that may not be embedded} */
    public static List<Finding> missing(Collection<Face> faces) {
        return faces.stream().filter(face -> !face.isPresent())
                .map(face -> Finding.about(Code.FACE_MISSING, face instanceof SystemFace system ? system.name() : face.key(), ""))
                .toList();
    }

    /** Looked for once. */
    private static final class All {
        private static final Map<String, Found> BY_NAME = search();
    }

    /** A font file. */
    static final class Found {
        private final String name;
        private final Path file;
        private volatile float @Nullable [] advances;

        Found(String name, Path file) {
            this.name = name;
            this.file = file;
        }

        String name() {
            return name;
        }

        byte[] bytes() throws IOException {
            return Files.readAllBytes(file);
        }

        /** {@return advance widths in em by code point; measured twice at worst} */
        float[] advances() throws IOException {
            float[] known = advances;
            if (known == null) advances = known = Advances.read(new ByteArrayInputStream(bytes()), MEASURED);
            return known;
        }
    }

    /** {@return their full names, sorted} The first call looks through all font files of the machine. */
    public static List<String> names() {
        return List.copyOf(All.BY_NAME.keySet());
    }

    static Optional<Found> find(String name) {
        return Optional.ofNullable(All.BY_NAME.get(name));
    }

    private static Map<String, Found> search() {
        Map<String, Found> found = new TreeMap<>(String.CASE_INSENSITIVE_ORDER);
        for (URI uri : new FontFileFinder().find()) {
            Path file = Path.of(uri);
            if (!file.toString().toLowerCase(Locale.ROOT).endsWith(".ttf")) continue;
            try (TrueTypeFont font = new TTFParser().parse(new RandomAccessReadBufferedFile(new File(uri)))) {
                String name = font.getNaming() == null ? null : fullName(font);
                if (name != null && !name.isBlank() && mayBeEmbedded(font.getOS2Windows())
                        && font.getUnicodeCmapLookup().getGlyphId('0') != 0)
                    found.putIfAbsent(name, new Found(name, file));
            } catch (IOException | RuntimeException | Error unreadable) {
                LoggerFactory.getLogger(SystemFaces.class).info("font passed over: {}", file, unreadable);
            }
        }
        return found;
    }

    private static @Nullable String fullName(TrueTypeFont font) throws IOException {
        String family = font.getNaming().getFontFamily();
        String style = font.getNaming().getFontSubFamily();
        return family == null ? font.getName()
                : style == null || style.equals("Regular") || style.equals("Book") ? family : family + " " + style;
    }

    /**
     * {@return whether a font's maker allows that letters of it are embedded} As fsType says (OpenType 1.9, "OS/2"): bit 1
     * forbids all, bit 8 parts, bit 9 outlines.
     */
    static boolean mayBeEmbedded(@Nullable OS2WindowsMetricsTable rights) {
        return rights == null || mayBeEmbedded(rights.getFsType());
    }

    static boolean mayBeEmbedded(int fsType) {
        boolean restricted = (fsType & 0xF) == OS2WindowsMetricsTable.FSTYPE_RESTRICTED;
        return !restricted
                && (fsType & (OS2WindowsMetricsTable.FSTYPE_NO_SUBSETTING | OS2WindowsMetricsTable.FSTYPE_BITMAP_ONLY)) == 0;
    }
}
