package app.yellowtab.model;

import java.util.Objects;

/**
 * Which pages the bundle has beside those of its documents.
 *
 * @param cover      whether it begins with a cover
 * @param separators what stands between documents
 * @param agreement  whether the index prints how entries stand between the parties
 * @param paper      what only the set to be printed has
 * @param volumes    how the set for the screen is divided into files
 */
public record Layout(boolean cover, Separators separators, boolean agreement, PaperSet paper, Volumes volumes) {
    /** A cover, and nothing between documents. */
    public static final Layout STANDARD = new Layout(true, Separators.NONE);

    /** A layout whose index says nothing of the parties. */
    public Layout(boolean cover, Separators separators) {
        this(cover, separators, false, PaperSet.STANDARD, Volumes.NONE);
    }

    public Layout {
        Objects.requireNonNull(separators, "separators");
        Objects.requireNonNull(paper, "paper");
        Objects.requireNonNull(volumes, "volumes");
    }

    public Layout withCover(boolean newCover) {
        return new Layout(newCover, separators, agreement, paper, volumes);
    }

    public Layout withSeparators(Separators newSeparators) {
        return new Layout(cover, newSeparators, agreement, paper, volumes);
    }

    public Layout withAgreement(boolean newAgreement) {
        return new Layout(cover, separators, newAgreement, paper, volumes);
    }

    public Layout withPaper(PaperSet newPaper) {
        return new Layout(cover, separators, agreement, newPaper, volumes);
    }

    public Layout withVolumes(Volumes newVolumes) {
        return new Layout(cover, separators, agreement, paper, newVolumes);
    }
}
