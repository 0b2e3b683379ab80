package app.yellowtab.convert.mail;

import app.yellowtab.convert.page.Face;
import app.yellowtab.convert.page.Notes;
import app.yellowtab.convert.page.PictureData;
import app.yellowtab.finding.Finding.Code;
import java.util.Base64;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;

/** Makes a tree that somebody else wrote fit for our page setter: what runs, fetches or stands out of the page is taken out. */
final class WebBody {
    private static final Pattern FONT = Pattern.compile("font-family\\s*:\\s*([^;}]+)", Pattern.CASE_INSENSITIVE);
    private static final Pattern FETCHES = Pattern.compile("@import[^;]*;?|url\\s*\\([^)]*\\)", Pattern.CASE_INSENSITIVE);
    private static final Pattern OUT_OF_PLACE = Pattern.compile(
            "(?<![-\\w])(position|float|min-width|max-width|white-space|overflow|(?:min-|max-)?height|margin-left|margin-right|"
                    + "left|right|z-index|transform)\\s*:[^;}]*;?",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern WIDE =
            Pattern.compile("(?<![-\\w])width\\s*:\\s*(\\d+)(px|pt)[^;}]*;?", Pattern.CASE_INSENSITIVE);
    private static final int WIDEST_PX = 600;

    private WebBody() {}

    static void clean(Document html, Map<String, Mail.Picture> pictures, Notes notes) {
        html.select(
                "script, noscript, iframe, frame, object, embed, applet, video, audio, link, meta, base, svg, math, canvas, "
                        + "input[type=hidden], button")
                .remove();
        int elsewhere = 0;
        for (Element image : html.select("img")) {
            Optional<String> data = data(image.attr("src"), pictures, notes);
            image.removeAttr("srcset");
            if (data.isPresent()) {
                image.attr("src", data.get());
                continue;
            }
            if (!image.attr("width").equals("1") && !image.attr("src").isBlank()) elsewhere++;
            String words = image.attr("alt").strip();
            image.replaceWith(words.isEmpty() ? new Element("span") : new Element("span").text("[picture: " + words + "]"));
        }
        if (elsewhere > 0) notes.say(Code.NOT_FETCHED, elsewhere == 1 ? "1 picture" : elsewhere + " pictures");
        for (Element element : html.getAllElements()) {
            element.removeAttr("background");
            if (element.hasAttr("style")) element.attr("style", css(element.attr("style")));
            if (element.attr("width").matches("\\d{3,5}") && Integer.parseInt(element.attr("width")) > WIDEST_PX)
                element.removeAttr("width");
            if (element.hasAttr("face"))
                element.attr("style", element.attr("style") + ";" + Face.named(element.attr("face")).css());
        }
        for (Element style : html.select("style")) style.html(css(style.data()).replace("<!--", "").replace("-->", ""));
    }

    private static Optional<String> data(String source, Map<String, Mail.Picture> pictures, Notes notes) {
        if (source.startsWith("cid:")) {
            Mail.Picture picture = pictures.get(source.substring(4));
            return picture == null ? Optional.empty() : PictureData.of(picture.bytes(), notes);
        }
        int comma = source.indexOf(',');
        if (!source.startsWith("data:") || comma < 0 || !source.substring(0, comma).endsWith(";base64")) return Optional.empty();
        try {
            return PictureData.of(Base64.getMimeDecoder().decode(source.substring(comma + 1)), notes);
        } catch (IllegalArgumentException damaged) {
            return Optional.empty();
        }
    }

    private static String css(String css) {
        String safe = OUT_OF_PLACE.matcher(FETCHES.matcher(css).replaceAll("")).replaceAll("");
        safe = FONT.matcher(safe).replaceAll(font -> Face.named(font.group(1)).css());
        return WIDE.matcher(safe).replaceAll(wide -> Matcher.quoteReplacement(
                Integer.parseInt(wide.group(1).length() > 6 ? "9999" : wide.group(1)) > WIDEST_PX ? "" : wide.group()));
    }
}
