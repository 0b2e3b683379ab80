package app.yellowtab.model.source;

import java.util.Objects;

/**
 * What a converted file was made of and by: the source's own bytes, the choices of reading that matter, the converter and its
 * version. It names the file with its pages, which is never overwritten.
 *
 * @param value fit to be the name of a file
 */
public record ConversionKey(String value) {
    public ConversionKey {
        Objects.requireNonNull(value, "value");
        if (value.isBlank()) throw new IllegalArgumentException("a conversion's key must not be blank");
    }
}
