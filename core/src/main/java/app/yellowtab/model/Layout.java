package app.yellowtab.model;

import java.util.Objects;

/**
 * Which pages the bundle has beside those of its documents.
 *
 * @param cover      whether it begins with a cover
 * @param separators what stands between documents
 * @param agreement  whether the index prints how entries stand between the parties
 * @param paper      what only the set to be printed has
 */
public record Layout(boolean cover, Separators separators, boolean agreement, PaperSet paper) {
    /** A cover, and nothing between documents. */
    public static final Layout STANDARD = new Layout(true, Separators.NONE);

    /** A layout whose index says nothing of the parties. */
    public Layout(boolean cover, Separators separators) {
        this(cover, separators, false, PaperSet.STANDARD);
    }

    public Layout {
        Objects.requireNonNull(separators, "separators");
        Objects.requireNonNull(paper, "paper");
    }

    public Layout withCover(boolean newCover) {
        return new Layout(newCover, separators, agreement, paper);
    }

    public Layout withSeparators(Separators newSeparators) {
        return new Layout(cover, newSeparators, agreement, paper);
    }

    public Layout withAgreement(boolean newAgreement) {
        return new Layout(cover, separators, newAgreement, paper);
    }

    public Layout withPaper(PaperSet newPaper) {
        return new Layout(cover, separators, agreement, newPaper);
    }
}
