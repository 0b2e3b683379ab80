package app.yellowtab.output;

import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSString;

/**
 * The action of a link into another file beside this one, by its name and a named destination in it (ISO 32000-1:2008,
 * 12.6.4.3).
 */
public final class Crossing extends COSDictionary {
    private final Place place;

    /**
     * @param place of the leaf that it leads to
     * @param file  the name of the file
     * @param name  of the destination
     */
    public Crossing(Place place, String file, String name) {
        this.place = place;
        COSDictionary beside = new COSDictionary();
        beside.setItem(COSName.TYPE, COSName.FILESPEC);
        beside.setItem(COSName.F, new COSString(file));
        beside.setItem(COSName.UF, new COSString(file));
        setItem(COSName.S, COSName.getPDFName("GoToR"));
        setItem(COSName.F, beside);
        setItem(COSName.D, new COSString(name));
    }

    public Place place() {
        return place;
    }
}
