package app.yellowtab.leaf;

import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.run.RunId;
import java.util.Objects;
import java.util.Optional;

/**
 * One page of the bundle as it will be produced.
 *
 * @param index     its place in the plan, counted from 0
 * @param key       which page of a document this is, for ever; empty for a page of ours between documents
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

    /** {@return which page this is, for ever: one of ours between documents by what it stands for and what it is} */
    public PageKey name() {
        return key.orElseGet(() -> switch (content) {
            case Content.Cover cover -> ours("cover", cover.sheet() + 1);
            case Content.IndexSheet sheet -> ours("index", sheet.sheet() + 1);
            case Content.SectionTitle title -> ours("title of " + title.section().value(), 1);
            case Content.TabSheet tab -> ours("tab of " + tab.entry().value(), 1);
            case Content.Divider divider -> ours("before " + divider.next().value(), 1);
            case Content.Blank blank -> ours("before " + blank.document().value(), 1);
            case Content.Slip slip -> ours("slip of " + slip.document().value(), 1);
            case Content.FrontSheet sheet -> ours("front of " + sheet.document().value(), 1);
            case Content.FileSheet sheet -> ours("file of " + sheet.document().value(), 1);
            case Content.Withheld page -> ours(page.source().value(), page.page());
            case Content.SourcePage page -> ours(page.source().value(), page.page());
        });
    }

    private static PageKey ours(String name, int page) {
        return new PageKey(new RunId(name), page);
    }
}
