package app.yellowtab.convert.rtf;

import app.yellowtab.convert.flow.Look;
import app.yellowtab.convert.flow.Piece;
import app.yellowtab.convert.page.Notes;
import app.yellowtab.convert.page.PictureData;
import java.util.HexFormat;
import java.util.Optional;
import org.jsoup.nodes.Element;

/** A picture of a Rich Text Format file, which comes as hexadecimal digits or as bytes, piece by piece. */
final class RtfPicture {
    private final StringBuilder hex = new StringBuilder();
    private double widthPt;
    private double heightPt;

    void take(String digits) {
        hex.append(digits.replaceAll("[^0-9A-Fa-f]", ""));
    }

    void take(byte[] bytes) {
        hex.append(HexFormat.of().formatHex(bytes));
    }

    void width(double points) {
        widthPt = points;
    }

    void height(double points) {
        heightPt = points;
    }

    /** {@return the picture as it stands in the text; empty if there is none, or none that can be shown, which is said} */
    Optional<Piece> piece(Notes notes) {
        byte[] bytes = HexFormat.of().parseHex(hex.substring(0, hex.length() / 2 * 2));
        if (bytes.length == 0) return Optional.empty();
        String size = widthPt > 0 && heightPt > 0 ? "width:" + Look.pt(widthPt) + ";height:" + Look.pt(heightPt) : "";
        return PictureData.of(bytes, notes)
                .map(data -> Piece.markup(new Element("img").attr("src", data).attr("style", size), widthPt));
    }
}
