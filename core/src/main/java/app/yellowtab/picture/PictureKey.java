package app.yellowtab.picture;

import app.yellowtab.leaf.Content;
import app.yellowtab.model.Comments;
import app.yellowtab.model.page.PageLook;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.UUID;

/**
 * Which picture it is: whatever changes it is in here, and nothing else.
 *
 * @param widthPx as asked for; a page that is very much higher than wide is drawn narrower
 */
public record PictureKey(Shown shown, int widthPx) {
    /** To be raised whenever pages are drawn another way, so that what is on the disk is not taken for it. */
    private static final int DRAWN_AS = 1;

    /** What a picture shows. */
    public sealed interface Shown {
        /**
         * A page of a source, as it is carried.
         *
         * @param file which file it is of: the SHA-256 of the source, or the key of its conversion
         * @param page counted from 1
         */
        record OfSource(String file, int page, PageLook look, Comments comments) implements Shown {}

        /**
         * A page that we make.
         *
         * @param words what else stands on it: cover and index pages change while their content does not
         */
        record Own(Content content, Object words) implements Shown {}
    }

    /** {@return its name on the disk; empty for a picture that is not kept there} */
    Optional<String> name() {
        if (!(shown instanceof Shown.OfSource)) return Optional.empty();
        return Optional.of(UUID.nameUUIDFromBytes((DRAWN_AS + " " + this).getBytes(StandardCharsets.UTF_8)).toString());
    }
}
