package app.yellowtab.prove;

import app.yellowtab.input.PageList;
import app.yellowtab.input.PdfInput;
import java.util.HashMap;
import java.util.Map;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSObject;
import org.jspecify.annotations.Nullable;

/** Which object is which page of a produced file, by its page tree. Grows by some bytes a page. Immutable. */
final class PageTable {
    private final int[] objects;
    private final Map<Integer, Integer> places;

    private PageTable(int[] objects, Map<Integer, Integer> places) {
        this.objects = objects;
        this.places = places;
    }

    static PageTable of(PdfInput input) {
        PageList pages = input.pages();
        int[] objects = new int[pages.size()];
        Map<Integer, Integer> places = HashMap.newHashMap(objects.length);
        for (int i = 0; i < objects.length; i++) {
            objects[i] = (int) pages.objectNumber(i + 1);
            places.putIfAbsent(objects[i], i + 1);
        }
        return new PageTable(objects, places);
    }

    int count() {
        return objects.length;
    }

    /** {@return the object number of a page, counted from 1} */
    int object(int page) {
        return objects[page - 1];
    }

    /** {@return which page an object is, counted from 1; 0 if it is none} */
    int place(long object) {
        return places.getOrDefault((int) object, 0);
    }

    /** {@return the page that an explicit destination (ISO 32000-1:2008, 12.3.2.2) leads to, counted from 1; 0 for none} */
    int target(@Nullable COSBase destination) {
        return destination instanceof COSArray parts && parts.size() > 0 && parts.get(0) instanceof COSObject page
                && page.getKey() != null
                        ? place(page.getKey().getNumber()) : 0;
    }
}
