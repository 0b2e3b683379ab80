package app.yellowtab.facts;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * What is known of a file that was brought in.
 *
 * @param way        how it became pages
 * @param trouble    why its pages cannot be had; empty where they can
 * @param notes      what must be said of it, such as what its conversion lost
 * @param attachedTo the identity of the source that it came with, such as a mail; empty for none
 * @param titleFrom  where its proposed title comes from
 * @param dateFrom   where its proposed date comes from; no matter where none is proposed
 * @param modified   when the file was last changed before it was brought in; empty if unknown
 * @param made       the day on which it was made, as the file itself says; empty if it does not
 * @param alikeAccepted whether the user keeps it although another file has the same pages
 * @param pages      what its pages are like
 * @param recognised the key of the list of the words that were read in pictures of its pages; empty for none
 * @param lengthSeconds how long a recording is, in seconds; 0 for what has no length, or one that is not known
 */
public record About(Way way, Optional<Note> trouble, List<Note> notes, String attachedTo, Origin titleFrom, Origin dateFrom,
        Optional<Instant> modified, Optional<LocalDate> made, boolean alikeAccepted, PageFacts pages, String recognised,
        int lengthSeconds) {
    /** What is known of files that older versions brought in. */
    public static final About UNKNOWN = new About(Way.AS_IT_IS, Optional.empty(), List.of(), "", Origin.FILE_NAME,
            Origin.FILE_NAME, Optional.empty(), Optional.empty(), false, PageFacts.UNKNOWN, "", 0);

    public About {
        Objects.requireNonNull(way, "way");
        Objects.requireNonNull(attachedTo, "attachedTo");
        Objects.requireNonNull(pages, "pages");
        Objects.requireNonNull(recognised, "recognised");
        notes = List.copyOf(notes);
    }

    public About withAttachedTo(String source) {
        return new About(way, trouble, notes, source, titleFrom, dateFrom, modified, made, alikeAccepted, pages, recognised,
                lengthSeconds);
    }

    public About withOrigins(Origin title, Origin date) {
        return new About(way, trouble, notes, attachedTo, title, date, modified, made, alikeAccepted, pages, recognised,
                lengthSeconds);
    }

    public About withAlikeAccepted() {
        return new About(way, trouble, notes, attachedTo, titleFrom, dateFrom, modified, made, true, pages, recognised,
                lengthSeconds);
    }

    public About withRecognised(String list) {
        return new About(way, trouble, notes, attachedTo, titleFrom, dateFrom, modified, made, alikeAccepted, pages, list,
                lengthSeconds);
    }
}
