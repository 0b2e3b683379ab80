package app.yellowtab.prove;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.finding.Finding.Code;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.cos.COSString;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.interactive.action.PDActionJavaScript;
import org.apache.pdfbox.pdmodel.interactive.action.PDActionLaunch;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationText;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDOutlineItem;

/** Ways to damage a produced bundle, each with what must be found and where. */
enum Damage implements ProverTests.Change {
    SWAPPED_PAGES(Code.PROOF_NUMBER, 3) {
        @Override
        public void to(PDDocument document) {
            COSArray kids = document.getPages().getCOSObject().getCOSArray(COSName.KIDS);
            COSBase third = kids.get(2);
            kids.set(2, kids.get(3));
            kids.set(3, third);
        }
    },
    A_NUMBER_OFF_BY_ONE(Code.PROOF_NUMBER, 4) {
        @Override
        public void to(PDDocument document) throws IOException {
            COSStream five = content(document, 5, -1);
            String text = new String(five.createInputStream().readAllBytes(), StandardCharsets.ISO_8859_1);
            String glyphs = text.replaceAll("(?s).*<([0-9a-f]+)> Tj.*", "$1");
            rewrite(content(document, 4, -1), "<[0-9a-f]+> Tj", "<" + glyphs + "> Tj");
        }
    },
    A_NUMBER_MOVED(Code.PROOF_PLACE, 4) {
        @Override
        public void to(PDDocument document) throws IOException {
            rewrite(content(document, 4, -1), "1 0 0 1 [0-9.]+", "1 0 0 1 300");
        }
    },
    A_SECOND_NUMBER(Code.PROOF_NUMBER, 6) {
        @Override
        public void to(PDDocument document) throws IOException {
            rewrite(content(document, 6, -1), "(?s)(/Artifact.*EMC)", "$1\n$1");
        }
    },
    A_NUMBER_TAKEN_OFF(Code.PROOF_NUMBER, 7) {
        @Override
        public void to(PDDocument document) throws IOException {
            rewrite(content(document, 7, -1), "> Tj", "> pop");
        }
    },
    A_LINK_ONE_PAGE_LATE(Code.PROOF_LINKS, 3) {
        @Override
        public void to(PDDocument document) {
            leadTo(annotation(document, 3, 0), document.getPage(4));
        }
    },
    AN_INDEX_LINK_ONE_PAGE_LATE(Code.PROOF_ROW_LINK, 2) {
        @Override
        public void to(PDDocument document) {
            leadTo(annotation(document, 2, 2), document.getPage(6));
        }
    },
    AN_INDEX_LINK_OVER_ANOTHER_ROW(Code.PROOF_ROW_LINK, 2) {
        @Override
        public void to(PDDocument document) {
            COSArray sides = annotation(document, 2, 1).getCOSArray(COSName.RECT);
            sides.set(1, COSInteger.get(10));
        }
    },
    A_LINK_TAKEN_OFF(Code.PROOF_LINKS, 3) {
        @Override
        public void to(PDDocument document) {
            document.getPage(2).getCOSObject().removeItem(COSName.ANNOTS);
        }
    },
    AN_INDEX_NUMBER_CHANGED(Code.PROOF_ROW_NUMBER, 2) {
        @Override
        public void to(PDDocument document) throws IOException {
            COSStream rows = content(document, 2, 1);
            String text = new String(rows.createInputStream().readAllBytes(), StandardCharsets.ISO_8859_1);
            int last = text.lastIndexOf(" Tj");
            int begun = text.lastIndexOf('(', last);
            assertThat(begun).isPositive();
            try (var out = rows.createOutputStream()) {
                out.write((text.substring(0, begun) + "() Tj" + text.substring(last + 3)).getBytes(StandardCharsets.ISO_8859_1));
            }
        }
    },
    A_PAGE_TAKEN_OUT(Code.PROOF_COUNT, 0) {
        @Override
        public void to(PDDocument document) {
            document.removePage(4);
        }
    },
    A_PAGE_PUT_IN(Code.PROOF_COUNT, 0) {
        @Override
        public void to(PDDocument document) {
            document.addPage(new PDPage());
        }
    },
    ANOTHER_PICTURE(Code.PROOF_PAGE, 6) {
        @Override
        public void to(PDDocument document) {
            COSDictionary resources = document.getPage(5).getResources().getCOSObject();
            resources.setItem(COSName.XOBJECT, document.getPage(6).getResources().getCOSObject().getItem(COSName.XOBJECT));
        }
    },
    ONE_DOT_OF_A_PICTURE(Code.PROOF_PAGE, 7) {
        @Override
        public void to(PDDocument document) throws IOException {
            COSStream picture = (COSStream) picture(document, 7);
            byte[] dots = picture.createInputStream().readAllBytes();
            dots[dots.length / 2] ^= 1;
            try (var out = picture.createOutputStream(COSName.FLATE_DECODE)) {
                out.write(dots);
            }
        }
    },
    A_PAGE_TURNED(Code.PROOF_PAGE, 4) {
        @Override
        public void to(PDDocument document) {
            document.getPage(3).setRotation(180);
        }
    },
    A_PAGE_CROPPED(Code.PROOF_PLACE, 4) {
        @Override
        public void to(PDDocument document) {
            document.getPage(3).setCropBox(new PDRectangle(50, 20, 545, 700));
        }
    },
    WORDS_CHANGED(Code.PROOF_PAGE, 3) {
        @Override
        public void to(PDDocument document) throws IOException {
            rewrite(content(document, 3, 1), "X-1", "X-9");
        }
    },
    A_COMMENT_PUT_IN(Code.PROOF_PAGE, 8) {
        @Override
        public void to(PDDocument document) throws IOException {
            PDAnnotationText comment = new PDAnnotationText();
            comment.setContents("without prejudice");
            document.getPage(7).setAnnotations(List.of(comment));
        }
    },
    OTHER_LABELS(Code.PROOF_LABEL, 1) {
        @Override
        public void to(PDDocument document) {
            document.getDocumentCatalog().setPageLabels(null);
        }
    },
    A_BOOKMARK_ONE_PAGE_LATE(Code.PROOF_BOOKMARK, 3) {
        @Override
        public void to(PDDocument document) {
            leadTo(bookmark(document, 1).getCOSObject(), document.getPage(3));
        }
    },
    A_BOOKMARK_RENAMED(Code.PROOF_BOOKMARK, 2) {
        @Override
        public void to(PDDocument document) {
            bookmark(document, 0).setTitle("Contents");
        }
    },
    NO_BOOKMARKS(Code.PROOF_BOOKMARK, 2) {
        @Override
        public void to(PDDocument document) {
            document.getDocumentCatalog().setDocumentOutline(null);
        }
    },
    A_SCRIPT_ON_OPENING(Code.PROOF_ACTION_OF_FILE, 0) {
        @Override
        public void to(PDDocument document) {
            document.getDocumentCatalog().setOpenAction(new PDActionJavaScript("app.alert('x')"));
        }
    },
    A_PROGRAM_STARTED_BY_A_LINK(Code.PROOF_ACTION, 3) {
        @Override
        public void to(PDDocument document) {
            annotation(document, 3, 0).setItem(COSName.A, new PDActionLaunch().getCOSObject());
        }
    },
    A_FONT_NOT_EMBEDDED(Code.PROOF_FONT, 0) {
        @Override
        public void to(PDDocument document) {
            COSDictionary descendant = (COSDictionary) stampFont(document).getCOSArray(COSName.DESCENDANT_FONTS).getObject(0);
            descendant.getCOSDictionary(COSName.FONT_DESC).removeItem(COSName.FONT_FILE2);
        }
    },
    NO_IDENTIFIER(Code.PROOF_OTHER_FILE, 0) {
        @Override
        public void to(PDDocument document) {
            document.getDocument().setDocumentID(new COSArray(Arrays.asList(new COSString("a"), new COSString("b"))));
        }
    };

    final Code code;
    final int page;

    Damage(Code code, int page) {
        this.code = code;
        this.page = page;
    }

    private static COSDictionary annotation(PDDocument document, int page, int n) {
        return (COSDictionary) document.getPage(page - 1).getCOSObject().getCOSArray(COSName.ANNOTS).getObject(n);
    }

    private static void leadTo(COSDictionary link, PDPage page) {
        link.getCOSArray(COSName.DEST).set(0, page);
    }

    private static COSStream content(PDDocument document, int page, int n) {
        COSArray parts = document.getPage(page - 1).getCOSObject().getCOSArray(COSName.CONTENTS);
        return (COSStream) parts.getObject(Math.floorMod(n, parts.size()));
    }

    private static void rewrite(COSStream stream, String from, String to) throws IOException {
        String old;
        try (var in = stream.createInputStream()) {
            old = new String(in.readAllBytes(), StandardCharsets.ISO_8859_1);
        }
        assertThat(old).as("what is to be changed").containsPattern(from);
        try (var out = stream.createOutputStream()) {
            out.write(old.replaceAll(from, to).getBytes(StandardCharsets.ISO_8859_1));
        }
    }

    private static COSDictionary stampFont(PDDocument document) {
        COSDictionary fonts = document.getPage(3).getResources().getCOSObject().getCOSDictionary(COSName.FONT);
        return fonts.getCOSDictionary(COSName.getPDFName("YellowTab1"));
    }

    private static COSDictionary picture(PDDocument document, int page) {
        COSDictionary objects = document.getPage(page - 1).getResources().getCOSObject().getCOSDictionary(COSName.XOBJECT);
        return (COSDictionary) objects.getDictionaryObject(objects.keySet().iterator().next());
    }

    private static PDOutlineItem bookmark(PDDocument document, int n) {
        PDOutlineItem item = document.getDocumentCatalog().getDocumentOutline().getFirstChild();
        for (int i = 0; i < n; i++) item = item.getNextSibling();
        return item;
    }
}
