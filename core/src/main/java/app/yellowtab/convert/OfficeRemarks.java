package app.yellowtab.convert;

import app.yellowtab.convert.page.Notes;
import app.yellowtab.finding.Finding.Code;
import com.sun.star.beans.XPropertySet;
import com.sun.star.container.XEnumeration;
import com.sun.star.container.XIndexAccess;
import com.sun.star.container.XNamed;
import com.sun.star.drawing.XDrawPagesSupplier;
import com.sun.star.lang.XComponent;
import com.sun.star.lang.XServiceInfo;
import com.sun.star.office.XAnnotationAccess;
import com.sun.star.sheet.XCellRangeAddressable;
import com.sun.star.sheet.XCellRangesQuery;
import com.sun.star.sheet.XSheetAnnotationsSupplier;
import com.sun.star.sheet.XSheetCellCursor;
import com.sun.star.sheet.XSpreadsheet;
import com.sun.star.sheet.XSpreadsheetDocument;
import com.sun.star.sheet.XUsedAreaCursor;
import com.sun.star.table.CellRangeAddress;
import com.sun.star.text.XTextFieldsSupplier;
import com.sun.star.uno.UnoRuntime;
import java.util.ArrayList;
import java.util.List;

/** Finds in a document that the office suite has open what will not be on its pages: comments, and what is hidden. */
final class OfficeRemarks {
    private final List<String> hidden = new ArrayList<>();
    private int comments;

    private OfficeRemarks() {}

    /** @param commentsInMargin whether the comments of a text are set in its margin; those of sheets and slides never are */
    static void say(XComponent document, boolean commentsInMargin, Notes notes) throws com.sun.star.uno.Exception {
        OfficeRemarks remarks = new OfficeRemarks();
        XTextFieldsSupplier text = UnoRuntime.queryInterface(XTextFieldsSupplier.class, document);
        XSpreadsheetDocument sheets = UnoRuntime.queryInterface(XSpreadsheetDocument.class, document);
        XDrawPagesSupplier slides = UnoRuntime.queryInterface(XDrawPagesSupplier.class, document);
        if (sheets != null) remarks.lookAtSheets(UnoRuntime.queryInterface(XIndexAccess.class, sheets.getSheets()));
        else if (text != null) remarks.lookAtText(text);
        else if (slides != null) remarks.lookAtSlides(UnoRuntime.queryInterface(XIndexAccess.class, slides.getDrawPages()));
        if (!remarks.hidden.isEmpty()) notes.say(Code.HIDDEN_LEFT_OUT, String.join(", ", remarks.hidden));
        boolean shown = commentsInMargin && text != null && sheets == null;
        if (remarks.comments > 0) notes.say(shown ? Code.COMMENTS_KEPT : Code.COMMENTS_DROPPED, String.valueOf(remarks.comments));
    }

    private void lookAtText(XTextFieldsSupplier text) throws com.sun.star.uno.Exception {
        XEnumeration fields = text.getTextFields().createEnumeration();
        while (fields.hasMoreElements()) {
            XServiceInfo field = UnoRuntime.queryInterface(XServiceInfo.class, fields.nextElement());
            if (field != null && field.supportsService("com.sun.star.text.textfield.Annotation")) comments++;
        }
    }

    private void lookAtSheets(XIndexAccess sheets) throws com.sun.star.uno.Exception {
        for (int i = 0; i < sheets.getCount(); i++) {
            XSpreadsheet sheet = UnoRuntime.queryInterface(XSpreadsheet.class, sheets.getByIndex(i));
            String name = UnoRuntime.queryInterface(XNamed.class, sheet).getName();
            comments += UnoRuntime.queryInterface(XSheetAnnotationsSupplier.class, sheet).getAnnotations().getCount();
            if (!isOn(sheet, "IsVisible")) hidden.add("sheet " + name);
            else if (hasHiddenCells(sheet)) hidden.add("rows or columns of " + name);
        }
    }

    private static boolean hasHiddenCells(XSpreadsheet sheet) throws com.sun.star.uno.Exception {
        XSheetCellCursor cells = sheet.createCursor();
        XUsedAreaCursor used = UnoRuntime.queryInterface(XUsedAreaCursor.class, cells);
        used.gotoStartOfUsedArea(false);
        used.gotoEndOfUsedArea(true);
        long visible = 0;
        for (CellRangeAddress part : UnoRuntime.queryInterface(XCellRangesQuery.class, cells).queryVisibleCells()
                .getRangeAddresses())
            visible += count(part);
        return visible < count(UnoRuntime.queryInterface(XCellRangeAddressable.class, cells).getRangeAddress());
    }

    private static long count(CellRangeAddress cells) {
        return (cells.EndColumn - cells.StartColumn + 1L) * (cells.EndRow - cells.StartRow + 1L);
    }

    private void lookAtSlides(XIndexAccess slides) throws com.sun.star.uno.Exception {
        List<String> numbers = new ArrayList<>();
        for (int i = 0; i < slides.getCount(); i++) {
            Object slide = slides.getByIndex(i);
            if (!isOn(slide, "Visible")) numbers.add(String.valueOf(i + 1));
            XAnnotationAccess remarks = UnoRuntime.queryInterface(XAnnotationAccess.class, slide);
            if (remarks == null) continue;
            for (var all = remarks.createAnnotationEnumeration(); all.hasMoreElements(); all.nextElement()) comments++;
        }
        if (!numbers.isEmpty()) hidden.add("slides " + String.join(", ", numbers));
    }

    private static boolean isOn(Object of, String property) throws com.sun.star.uno.Exception {
        return !Boolean.FALSE.equals(UnoRuntime.queryInterface(XPropertySet.class, of).getPropertyValue(property));
    }
}
