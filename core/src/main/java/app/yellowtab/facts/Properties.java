package app.yellowtab.facts;

import java.time.LocalDate;
import java.util.Optional;

/**
 * What a file says of itself. Programs fill it in, and nobody reads it over.
 *
 * @param title empty for none
 * @param made  the day on which the document was made, or the picture taken; often that on which a copy of it was
 */
public record Properties(String title, Optional<LocalDate> made) {
    public static final Properties NONE = new Properties("", Optional.empty());
}
