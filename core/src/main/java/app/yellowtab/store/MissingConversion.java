package app.yellowtab.store;

import app.yellowtab.convert.Converter;
import app.yellowtab.facts.Way;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.index.SlipWords;
import app.yellowtab.input.PdfInput;
import app.yellowtab.inspect.Inspection;
import app.yellowtab.model.Reading;
import app.yellowtab.model.source.ConversionKey;
import app.yellowtab.model.source.Source;
import app.yellowtab.source.Depot;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A conversion that a bundle names and that is not in its folder any more, such as one that was copied in part. */
final class MissingConversion {
    private MissingConversion() {}

    /**
     * Makes a conversion anew that is missing, with the choices that its key names.
     *
     * @param original  the file that it is made of
     * @param otherwise how files are read today, where the key names no choices
     * @throws FindingException if it comes out with other pages than the bundle was planned with; nothing is kept then
     */
    static void makeAgain(Depot place, Source source, Path original, List<String> passwords, Reading otherwise)
            throws IOException {
        ConversionKey key = source.conversion().orElseThrow();
        Path draft = place.conversionDraft();
        try {
            boolean asNamed = true;
            if (source.isRead()) {
                Way way = source.about().way();
                Optional<Reading> choices = Converter.choices(key, source.sha256(), source.kind(), way);
                Way done = Converter.convert(original, original, source.kind(), draft, passwords, choices.orElse(otherwise),
                        new ArrayList<>());
                asNamed = choices.isPresent() && done == way;
            } else {
                Converter.writeSlip(draft, SlipWords.unread(source));
            }
            try (PdfInput input = PdfInput.open(draft, passwords)) {
                int pages = input.pages().verified().size();
                if (pages != source.pageCount()) throw new FindingException(
                        Finding.of(Code.PAGES_MISSING, original, pages + " instead of " + source.pageCount()), null);
                // Where another version, or another program, has converted it, it is known by what it shows.
                if (!asNamed && !Inspection.of(input).facts().showTheSame(source.about().pages()))
                    throw new FindingException(Finding.of(Code.PAGES_MISSING, original, "they show something else"), null);
            }
            place.keepConversion(draft, key);
        } finally {
            Files.deleteIfExists(draft);
        }
    }
}
