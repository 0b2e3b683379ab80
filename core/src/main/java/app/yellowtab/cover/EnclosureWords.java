package app.yellowtab.cover;

import app.yellowtab.model.run.EnclosedFile;
import app.yellowtab.model.source.Source;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** What the index, and a sheet of ours, say of a file that goes along as it is. */
public final class EnclosureWords {
    private static final int KILO = 1000;
    private static final int HALF_OF_SHA = 32;

    private EnclosureWords() {}

    /** {@return the line below the title in the index} */
    public static String inIndex(EnclosedFile file, Source source, String name) {
        return (file.supplied().isBlank() ? "Supplied as a file" : file.supplied()) + ": " + name + ", " + extent(source);
    }

    /** {@return what the sheet says below the title of its document, line by line} */
    public static List<String> onSheet(EnclosedFile file, Source source, String name) {
        List<String> lines = new ArrayList<>();
        lines.add(file.supplied().isBlank() ? "This document is a file that is supplied with the bundle." : file.supplied());
        lines.add(name);
        String size = String.format(Locale.ROOT, "%,d bytes", source.bytes());
        lines.add(source.about().lengthSeconds() > 0 ? extent(source) + " long, " + size : size);
        lines.add("Fingerprint (SHA-256) " + (source.sha256().length() <= HALF_OF_SHA ? source.sha256()
                : source.sha256().substring(0, HALF_OF_SHA) + " " + source.sha256().substring(HALF_OF_SHA)));
        return lines;
    }

    /** {@return how long it is, such as "2 min 14 s"; of what has no length, or one that is not known, how large} */
    private static String extent(Source source) {
        int seconds = source.about().lengthSeconds();
        if (seconds >= 3600) return String.format(Locale.ROOT, "%d h %d min", seconds / 3600, seconds / 60 % 60);
        if (seconds >= 60) return String.format(Locale.ROOT, "%d min %d s", seconds / 60, seconds % 60);
        if (seconds > 0) return seconds + " s";
        if (source.bytes() < KILO) return source.bytes() + " bytes";
        double kilos = source.bytes() / (double) KILO;
        return kilos < KILO ? String.format(Locale.ROOT, "%.0f kB", kilos) : String.format(Locale.ROOT, "%,.1f MB", kilos / KILO);
    }
}
