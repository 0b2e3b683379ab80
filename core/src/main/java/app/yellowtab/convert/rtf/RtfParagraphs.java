package app.yellowtab.convert.rtf;

import app.yellowtab.convert.flow.Props;
import com.rtfparserkit.rtf.Command;
import java.util.Optional;

/**
 * What the commands of the Rich Text Format say of paragraphs, whose lengths are in twentieths of a point like those of {@link
 * Props}.
 */
final class RtfParagraphs {
    private RtfParagraphs() {}

    /** {@return a paragraph's properties after a command; empty where the command says nothing of paragraphs} */
    static Optional<Props> change(Props paragraph, Command command, int parameter) {
        return Optional.ofNullable(switch (command) {
            case pard -> Props.NONE;
            case qc -> paragraph.and("jc.val", "center");
            case qr -> paragraph.and("jc.val", "right");
            case qj -> paragraph.and("jc.val", "both");
            case ql -> paragraph.and("jc.val", "left");
            case li -> paragraph.and("ind.left", String.valueOf(parameter));
            case ri -> paragraph.and("ind.right", String.valueOf(parameter));
            case fi -> parameter < 0 ? paragraph.without("ind.firstLine").and("ind.hanging", String.valueOf(-parameter))
                    : paragraph.without("ind.hanging").and("ind.firstLine", String.valueOf(parameter));
            case sb -> paragraph.and("spacing.before", String.valueOf(parameter));
            case sa -> paragraph.and("spacing.after", String.valueOf(parameter));
            case sl -> parameter == 0 ? paragraph : paragraph.and("spacing.line", String.valueOf(Math.abs(parameter)))
                    .and("spacing.lineRule", parameter < 0 ? "exact" : "atLeast");
            case slmult -> parameter == 1 ? paragraph.and("spacing.lineRule", "auto") : paragraph;
            case keepn -> paragraph.and("keepNext", "");
            case pagebb -> paragraph.and("pageBreakBefore", "");
            case tqr -> paragraph.and("nextStop", "right");
            case tqc -> paragraph.and("nextStop", "center");
            case tx -> stop(paragraph, parameter);
            default -> null;
        });
    }

    /** The kind of a tab stop is said before its place. */
    private static Props stop(Props paragraph, int place) {
        String kind = paragraph.text("nextStop");
        String stop = "tabs.tab@" + place;
        return paragraph.without("nextStop").and(stop + ".val", kind.isEmpty() ? "left" : kind).and(stop + ".pos",
                String.valueOf(place));
    }
}
