package app.yellowtab.stamp;

import app.yellowtab.model.number.BundleNumber;
import app.yellowtab.model.number.RunningLine;
import app.yellowtab.model.number.SerialNumber;
import app.yellowtab.model.number.Series;
import app.yellowtab.pdf.Face;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What is to be put on loose files.
 *
 * @param files         PDFs, in their order
 * @param folder        the copies go into it
 * @param before        what the names of copies begin with
 * @param after         what they end with, before their ending
 * @param number        running page numbers; empty for none
 * @param series        Bates numbers; empty for none
 * @param lines         at head and foot
 * @param eachFromStart whether numbers begin anew in each file; otherwise they run on
 * @param produced      what dates in lines say
 * @param passwords     tried on locked files
 */
public record StampOrder(List<Path> files, Path folder, String before, String after, Optional<BundleNumber> number,
        Optional<Series> series, List<RunningLine> lines, boolean eachFromStart, LocalDateTime produced, List<String> passwords) {
    public StampOrder {
        files = List.copyOf(files);
        lines = List.copyOf(lines);
        passwords = List.copyOf(passwords);
        Objects.requireNonNull(folder, "folder");
        Objects.requireNonNull(number, "number");
        Objects.requireNonNull(produced, "produced");
        if (series.isPresent() && SerialNumber.read(series.get().first()).isEmpty())
            throw new IllegalArgumentException("\"first\" must be a number to begin with, got " + series.get().first());
    }

    /** {@return the typefaces that it asks for} */
    Set<Face> faces() {
        return Stream
                .of(number.stream().map(BundleNumber::setting), series.stream().map(Series::setting),
                        lines.stream().map(RunningLine::setting))
                .flatMap(all -> all)
                .map(setting -> setting.look().face()).collect(Collectors.toCollection(LinkedHashSet::new));
    }

    /** {@return whether anything is put on} */
    public boolean isEmpty() {
        return number.isEmpty() && series.isEmpty() && lines.isEmpty();
    }
}
