package app.yellowtab.model.source;

import app.yellowtab.facts.About;
import app.yellowtab.facts.Origin;
import app.yellowtab.model.entry.DocumentDate;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * A file that was brought in, and what must be known of it so that a bundle can be planned without opening it.
 *
 * @param id            its identity in the bundle
 * @param fileName      the name it came with
 * @param storedName    its name in the bundle's {@code originals} folder
 * @param kind          what it is, by its content
 * @param bytes         its size in bytes
 * @param sha256        the SHA-256 of its bytes, in lower-case hexadecimal
 * @param checksum      the CRC-32C of its bytes, quickly made, to notice a change; empty in bundles of older versions
 * @param pageCount     how many pages it gives; at least 1
 * @param bookmarks     its own bookmarks, in order
 * @param proposedTitle the title its name, its header or its first page suggests; never blank
 * @param proposedDate  the date its name, its header or its first page suggests
 * @param about         what else is known of it
 * @param conversion    which conversion its pages are of; empty for those of the file itself
 */
public record Source(SourceId id, String fileName, String storedName, SourceKind kind, long bytes, String sha256, String checksum,
        int pageCount, List<SourceBookmark> bookmarks, String proposedTitle, DocumentDate proposedDate, About about,
        Optional<ConversionKey> conversion) {
    public Source {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(kind, "kind");
        Objects.requireNonNull(proposedDate, "proposedDate");
        Objects.requireNonNull(about, "about");
        Objects.requireNonNull(conversion, "conversion");
        if (pageCount < 1) throw new IllegalArgumentException("a source needs at least one page: " + fileName);
        if (proposedTitle.isBlank()) throw new IllegalArgumentException("a proposed title must not be blank: " + fileName);
        bookmarks = List.copyOf(bookmarks);
    }

    /** {@return whether its pages can be had; where not, a page that names it stands for it} */
    public boolean isRead() {
        return about.trouble().isEmpty();
    }

    /** {@return whether it is a file that cannot be shown as pages, such as a recording, and can go along only as it is} */
    public boolean isWithoutPages() {
        return kind == SourceKind.OTHER && bytes > 0;
    }

    /** {@return whether its pages are in a file that this program has made} */
    public boolean isConverted() {
        return conversion.isPresent();
    }

    /** {@return what tells its pages from all others: the key of their conversion, or the SHA-256 of the file} */
    public String pagesKey() {
        return conversion.map(ConversionKey::value).orElse(sha256);
    }

    /** {@return which reading of it its pages are of} */
    public SourceReading asRead() {
        return new SourceReading(id, pagesKey());
    }

    /** {@return whether another file has the same pages, as far as their fingerprints tell} */
    public boolean showsTheSameAs(Source other) {
        return pageCount == other.pageCount
                && (pagesKey().equals(other.pagesKey()) || about.pages().showTheSame(other.about.pages()));
    }

    /** {@return the same as another file of the bundle would be} */
    public Source under(SourceId otherId) {
        return new Source(otherId, fileName, storedName, kind, bytes, sha256, checksum, pageCount, bookmarks, proposedTitle,
                proposedDate, about, conversion);
    }

    /** {@return the same under another title, and where that comes from} */
    public Source withTitle(String title, Origin from) {
        return new Source(id, fileName, storedName, kind, bytes, sha256, checksum, pageCount, bookmarks, title, proposedDate,
                about.withOrigins(from, about.dateFrom()), conversion);
    }

    /** {@return the same with another date, and where that comes from} */
    public Source withDate(DocumentDate date, Origin from) {
        return new Source(id, fileName, storedName, kind, bytes, sha256, checksum, pageCount, bookmarks, proposedTitle, date,
                about.withOrigins(about.titleFrom(), from), conversion);
    }

    public Source withBookmarks(List<SourceBookmark> newBookmarks) {
        return new Source(id, fileName, storedName, kind, bytes, sha256, checksum, pageCount, newBookmarks, proposedTitle,
                proposedDate, about, conversion);
    }

    public Source withAbout(About newAbout) {
        return new Source(id, fileName, storedName, kind, bytes, sha256, checksum, pageCount, bookmarks, proposedTitle,
                proposedDate, newAbout, conversion);
    }
}
