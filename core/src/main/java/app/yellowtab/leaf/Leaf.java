package app.yellowtab.leaf;

import app.yellowtab.model.run.PageKey;
import java.util.Objects;
import java.util.Optional;

/**
 * One page of the bundle as it will be produced.
 *
 * @param index     its place in the plan, counted from 0
 * @param key       which page this is, for ever; empty for a page that is made anew with every plan
 * @param number    what is printed on it and called out; empty for one that is not counted
 * @param onlyPaper whether only a set to be printed has it; such a page is never counted
 * @param content   what it shows
 */
public record Leaf(int index, Optional<PageKey> key, Optional<PageNumber> number, boolean onlyPaper, Content content) {
    public Leaf {
        Objects.requireNonNull(key, "key");
        Objects.requireNonNull(content, "content");
        if (onlyPaper && number.isPresent()) throw new IllegalArgumentException("a page that only paper has must not be counted");
    }

    /** {@return what a viewer shows as its page number: what is printed on it, or nothing} */
    public String label() {
        return number.map(PageNumber::shown).orElse("");
    }
}
