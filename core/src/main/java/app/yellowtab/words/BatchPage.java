package app.yellowtab.words;

import app.yellowtab.facts.PageText;
import app.yellowtab.facts.RecognisedPage;
import app.yellowtab.facts.SheetState;
import app.yellowtab.model.cut.SheetCode;
import java.util.List;
import java.util.Optional;

/**
 * What rules go by on a page of a batch.
 *
 * @param isBlank  whether nothing at all is on it, or nothing but dirt
 * @param widthMm  what is seen of it
 * @param heightMm what is seen of it
 * @param bookmarks those that lead to it, in order
 * @param sheet     what it says as a separator sheet of ours; empty where it is none, or nobody has looked
 * @param weight    how much it takes in a file; unknown where nobody has measured it
 * @param state     how it lies, if it was scanned and read
 */
public record BatchPage(PageText text, boolean isBlank, double widthMm, double heightMm, List<Bookmark> bookmarks,
        Optional<SheetCode> sheet, PageWeight weight, SheetState state) {
    public BatchPage {
        bookmarks = List.copyOf(bookmarks);
    }

    /** A page that is no separator sheet. */
    public BatchPage(PageText text, boolean isBlank, double widthMm, double heightMm, List<Bookmark> bookmarks) {
        this(text, isBlank, widthMm, heightMm, bookmarks, Optional.empty(), PageWeight.UNKNOWN, SheetState.SOUND);
    }

    public BatchPage withBookmarks(List<Bookmark> newBookmarks) {
        return new BatchPage(text, isBlank, widthMm, heightMm, newBookmarks, sheet, weight, state);
    }

    /** {@return the same with what was read in its picture} */
    public BatchPage withRecognised(RecognisedPage read) {
        return new BatchPage(read.text(), isBlank || read.state().isBlank(), widthMm, heightMm, bookmarks, sheet, weight,
                read.state());
    }

    /** {@return the same as it is seen with a look: its words, and its size} */
    BatchPage asSeen(PageText seenText, double seenWidthMm, double seenHeightMm) {
        return new BatchPage(seenText, isBlank, seenWidthMm, seenHeightMm, bookmarks, sheet, weight, state);
    }

    public BatchPage withSheet(Optional<SheetCode> newSheet) {
        return new BatchPage(text, isBlank, widthMm, heightMm, bookmarks, newSheet, weight, state);
    }

    public BatchPage withWeight(PageWeight newWeight) {
        return new BatchPage(text, isBlank, widthMm, heightMm, bookmarks, sheet, newWeight, state);
    }

    /** @param level 1 for the outermost */
    public record Bookmark(int level, String title) {}
}
