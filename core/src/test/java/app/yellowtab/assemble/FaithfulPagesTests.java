package app.yellowtab.assemble;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.edit.Edits;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.model.Comments;
import app.yellowtab.model.FromSources;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.testing.Pdfs;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSFloat;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSString;
import org.apache.pdfbox.pdmodel.PDDestinationNameTreeNode;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDDocumentNameDictionary;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.apache.pdfbox.pdmodel.graphics.optionalcontent.PDOptionalContentGroup;
import org.apache.pdfbox.pdmodel.graphics.optionalcontent.PDOptionalContentProperties;
import org.apache.pdfbox.pdmodel.interactive.action.PDActionGoTo;
import org.apache.pdfbox.pdmodel.interactive.action.PDActionJavaScript;
import org.apache.pdfbox.pdmodel.interactive.action.PDActionURI;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationLink;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationText;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationWidget;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.destination.PDNamedDestination;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.destination.PDPageFitDestination;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDDocumentOutline;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDOutlineItem;
import org.apache.pdfbox.pdmodel.interactive.form.PDAcroForm;
import org.apache.pdfbox.pdmodel.interactive.form.PDTextField;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A source's page looks in the bundle as it did, and takes nothing along that it should not. */
class FaithfulPagesTests extends OneSource {
    @Test
    void whatIsInheritedFromThePageTree() throws IOException {
        produce(1, document -> {
            COSDictionary page = document.getPage(0).getCOSObject();
            COSDictionary tree = document.getPages().getCOSObject();
            for (COSName key : List.of(COSName.RESOURCES, COSName.MEDIA_BOX)) {
                tree.setItem(key, page.getItem(key));
                page.removeItem(key);
            }
            tree.setInt(COSName.ROTATE, 90);
        });
        assertLooksTheSame();
    }

    @Test
    void contentThatLeavesStatesOpenDoesNotMoveTheNumber() throws IOException {
        produce(1, document -> content(document, "q 0.2 0 0 0.2 50 50 cm q 1 0 0 rg 100 100 400 400 re f 0 0 10 10 re W n"));
        assertLooksTheSame();
        assertThat(Pdfs.pages(target).get(2)).isEqualTo("3");
        BufferedImage page = Pdfs.picture(target, 3, 72);
        BufferedImage corner = page.getSubimage(page.getWidth() - 70, page.getHeight() - 60, 70, 60);
        assertThat(Pdfs.ink(corner)[2]).as("the number is seen, 10 mm from the right").isBetween(38, 44);
    }

    @Test
    void contentThatClosesStatesItDidNotOpen() throws IOException {
        produce(1, document -> content(document, "Q Q 0 0 1 rg 100 100 300 300 re f Q"));
        assertLooksTheSame();
    }

    @Test
    void aPageWithoutContentAndOneWithSeveralStreams() throws IOException {
        produce(1, document -> document.getPage(0).getCOSObject().removeItem(COSName.CONTENTS));
        assertThat(Pdfs.pages(target).get(2)).isEqualTo("3");
        produce(1, document -> {
            try (var more =
                    new PDPageContentStream(document, document.getPage(0), PDPageContentStream.AppendMode.APPEND, false)) {
                more.addRect(30, 30, 100, 100);
                more.fill();
            }
        });
        assertLooksTheSame();
    }

    @Test
    void croppedAndTurned() throws IOException {
        produce(1, document -> {
            document.getPage(0).setCropBox(new PDRectangle(80, 300, 300, 200));
            document.getPage(0).setRotation(270);
        });
        assertLooksTheSame();
    }

    @Test
    void everyBoxAndTheUnitAreKept() throws IOException {
        produce(1, document -> {
            PDPage page = document.getPage(0);
            page.setCropBox(new PDRectangle(10, 20, 500, 600));
            page.setBleedBox(new PDRectangle(11, 21, 490, 590));
            page.setTrimBox(new PDRectangle(12, 22, 480, 580));
            page.setArtBox(new PDRectangle(13, 23, 470, 570));
            page.setUserUnit(1.5f);
        });
        try (PDDocument before = Loader.loadPDF(matter.resolve("S.pdf").toFile());
                PDDocument after = Loader.loadPDF(target.toFile())) {
            PDPage was = before.getPage(0);
            PDPage is = leaf(after, 3);
            assertThat(boxes(is)).isEqualTo(boxes(was));
            assertThat(is.getUserUnit()).isEqualTo(1.5f);
        }
        assertLooksTheSame();
    }

    private static List<String> boxes(PDPage page) {
        return Stream.of(page.getMediaBox(), page.getCropBox(), page.getBleedBox(), page.getTrimBox(), page.getArtBox())
                .map(PDRectangle::toString).toList();
    }

    @Test
    void contentDividedBetweenOperandsAndTheirOperator() throws IOException {
        produce(1, document -> {
            COSArray parts = new COSArray();
            for (String part : List.of("1 0 0 rg 100 100", "200 300 re", "f 0 0 1 rg 300 100 50 50 re", "f q 5 0 0 5 0 0 cm")) {
                content(document, part);
                parts.add(document.getPage(0).getCOSObject().getItem(COSName.CONTENTS));
            }
            document.getPage(0).getCOSObject().setItem(COSName.CONTENTS, parts);
        });
        assertLooksTheSame();
    }

    @Test
    void hiddenLayersStayHidden() throws IOException {
        produce(1, document -> {
            PDOptionalContentProperties layers = new PDOptionalContentProperties();
            PDOptionalContentGroup draft = new PDOptionalContentGroup("Draft");
            layers.addGroup(draft);
            layers.setGroupEnabled(draft, false);
            document.getDocumentCatalog().setOCProperties(layers);
            try (var more =
                    new PDPageContentStream(document, document.getPage(0), PDPageContentStream.AppendMode.APPEND, false)) {
                more.beginMarkedContent(COSName.OC, draft);
                more.addRect(30, 30, 300, 300);
                more.fill();
                more.endMarkedContent();
            }
        });
        assertLooksTheSame();
    }

    private static PDAnnotationLink link(PDPage page) throws IOException {
        PDAnnotationLink link = new PDAnnotationLink();
        link.setRectangle(new PDRectangle(100, 700 - 40 * page.getAnnotations().size(), 50, 20));
        page.getAnnotations().add(link);
        return link;
    }

    private static PDPageFitDestination to(PDPage page) {
        PDPageFitDestination destination = new PDPageFitDestination();
        destination.setPage(page);
        return destination;
    }

    @Test
    void linksInsideASourceLeadToTheirLeaves() throws IOException {
        Outcome.Written written = produce(3, document -> {
            link(document.getPage(0)).setDestination(to(document.getPage(2)));
            PDDestinationNameTreeNode names = new PDDestinationNameTreeNode();
            names.setNames(Map.of("chapter", to(document.getPage(1))));
            PDDocumentNameDictionary dictionary = new PDDocumentNameDictionary(document.getDocumentCatalog());
            dictionary.setDests(names);
            document.getDocumentCatalog().setNames(dictionary);
            link(document.getPage(0)).setDestination(new PDNamedDestination("chapter"));
            PDActionURI web = new PDActionURI();
            web.setURI("https://court.example/form");
            link(document.getPage(1)).setAction(web);
        });
        assertThat(Pdfs.linkTargets(target, 3)).containsExactly(5, 4);
        assertThat(written.findings()).isEmpty();
        try (PDDocument document = Loader.loadPDF(target.toFile())) {
            PDAnnotationLink kept = (PDAnnotationLink) document.getPage(3).getAnnotations().getFirst();
            assertThat(((PDActionURI) kept.getAction()).getURI()).isEqualTo("https://court.example/form");
        }
    }

    @Test
    void aBadNameSpoilsNoOther() throws IOException {
        Outcome.Written written = produce(3, document -> {
            COSArray pairs = new COSArray(List.of(new COSString("a"), new COSArray(), new COSString("b"),
                    COSName.getPDFName("odd"), new COSString("chapter"), to(document.getPage(2)).getCOSObject(),
                    COSName.getPDFName("no string"), to(document.getPage(0)).getCOSObject(), new COSString("nowhere"),
                    new COSString("b")));
            COSDictionary leaf = new COSDictionary();
            leaf.setItem(COSName.NAMES, pairs);
            COSDictionary tree = new COSDictionary();
            tree.setItem(COSName.KIDS, new COSArray(List.of(COSName.A, leaf, tree)));
            COSDictionary names = new COSDictionary();
            names.setItem(COSName.DESTS, tree);
            document.getDocumentCatalog().getCOSObject().setItem(COSName.NAMES, names);
            link(document.getPage(0)).setDestination(new PDNamedDestination("chapter"));
            link(document.getPage(0)).setDestination(new PDNamedDestination("nowhere"));
            document.getDocumentCatalog().setDocumentOutline(new PDDocumentOutline());
            PDOutlineItem bookmark = new PDOutlineItem();
            bookmark.setTitle("Chapter");
            bookmark.setDestination(new PDNamedDestination("chapter"));
            document.getDocumentCatalog().getDocumentOutline().addLast(bookmark);
        });
        assertThat(Pdfs.linkTargets(target, 3)).containsExactly(5);
        assertThat(Pdfs.bookmarks(target)).contains("  Chapter > 5");
        assertThat(codes(written)).containsExactly(Code.LINK_DROPPED);
    }

    @Test
    void namesOfTheOldStyleAndActionsLeadToTheirLeaves() throws IOException {
        produce(3, document -> {
            COSDictionary old = new COSDictionary();
            old.setItem(COSName.getPDFName("chapter"), to(document.getPage(2)).getCOSObject());
            document.getDocumentCatalog().getCOSObject().setItem(COSName.DESTS, old);
            link(document.getPage(0)).getCOSObject().setItem(COSName.DEST, COSName.getPDFName("chapter"));
            PDActionGoTo go = new PDActionGoTo();
            go.setDestination(to(document.getPage(1)));
            link(document.getPage(0)).setAction(go);
        });
        assertThat(Pdfs.linkTargets(target, 3)).containsExactly(5, 4);
    }

    @Test
    void aLinkToAPageThatIsLeftOutIsTakenOffAndReported() throws IOException {
        choices = bundle -> {
            Document whole = bundle.contents().documents().getFirst();
            Run first = SourcePages.of(whole.sources().getFirst(), 1, 1);
            return Edits.changeDocument(bundle, whole.id(), document -> new Document(document.id(), document.title(), "",
                    document.date(), true, Optional.empty(), List.of(first)));
        };
        Outcome.Written written = produce(2, document -> link(document.getPage(0)).setDestination(to(document.getPage(1))));
        assertThat(written.pages()).isEqualTo(3);
        assertThat(codes(written)).containsExactly(Code.LINK_DROPPED);
        assertThat(Pdfs.linkTargets(target, 3)).isEmpty();
        assertThat(allObjects()).doesNotContain("S-2");
    }

    @Test
    void bookmarksKeepTheirLookTheirViewAndTheirLevels() throws IOException {
        choices = bundle -> bundle.withFromSources(new FromSources(Comments.KEPT, 2));
        produce(2, document -> {
            PDOutlineItem parent = new PDOutlineItem();
            document.getDocumentCatalog().setDocumentOutline(new PDDocumentOutline());
            document.getDocumentCatalog().getDocumentOutline().addLast(parent);
            for (int level = 1; level <= 3; level++) {
                parent.setTitle("level " + level);
                parent.setDestination(to(document.getPage(1)));
                parent.setBold(level == 1);
                parent.setItalic(level == 2);
                parent.getCOSObject().setItem(COSName.C,
                        new COSArray(List.of(new COSFloat(1), new COSFloat(0), new COSFloat(0))));
                PDOutlineItem below = new PDOutlineItem();
                if (level < 3) parent.addLast(below);
                parent = below;
            }
        });
        assertThat(Pdfs.bookmarks(target)).containsExactly("Index > 2", "1. S > 3", "  level 1 > 4", "    level 2 > 4");
        try (PDDocument document = Loader.loadPDF(target.toFile())) {
            PDOutlineItem first = document.getDocumentCatalog().getDocumentOutline().getLastChild().getFirstChild();
            assertThat(first.isBold()).isTrue();
            assertThat(first.getFirstChild().isItalic()).isTrue();
            assertThat(first.getTextColor().toRGB()).isEqualTo(0xFF0000);
            assertThat(first.getDestination()).isInstanceOf(PDPageFitDestination.class);
        }
    }

    @Test
    void aLinkToNowhereIsTakenOffAndReported() throws IOException {
        Outcome.Written written =
                produce(1, document -> link(document.getPage(0)).setDestination(new PDNamedDestination("lost")));
        assertThat(Pdfs.linkTargets(target, 3)).isEmpty();
        assertThat(written.findings()).extracting(Finding::message).containsExactly(
                "S.pdf: links to pages that did not come along, or to other files, were taken off (1, on page 1). "
                        + "Their words are still there; nothing needs to be done unless readers should follow them.");
    }

    @Test
    void commentsAreKeptAndReported() throws IOException {
        Outcome.Written written = produce(2, document -> {
            PDAnnotationText comment = new PDAnnotationText();
            comment.setContents("is this right?");
            comment.setRectangle(new PDRectangle(100, 600, 20, 20));
            document.getPage(1).getAnnotations().add(comment);
        });
        assertThat(written.findings()).extracting(Finding::message).singleElement().asString()
                .startsWith("S.pdf carries comments or other marks of reviewers, and they are in the bundle (1, on page 2)");
        try (PDDocument document = Loader.loadPDF(target.toFile())) {
            assertThat(document.getPage(3).getAnnotations()).extracting("contents").containsExactly("is this right?");
        }
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void formFieldsBecomePartOfThePageWithTheirValue(boolean withAppearance) throws IOException {
        produce(1, document -> {
            PDAcroForm form = new PDAcroForm(document);
            document.getDocumentCatalog().setAcroForm(form);
            PDResources resources = new PDResources();
            resources.put(COSName.HELV, new PDType1Font(Standard14Fonts.FontName.HELVETICA));
            form.setDefaultResources(resources);
            form.setDefaultAppearance("/Helv 12 Tf 0 g");
            PDTextField field = new PDTextField(form);
            field.setPartialName("amount");
            form.getFields().add(field);
            PDAnnotationWidget widget = field.getWidgets().getFirst();
            widget.setRectangle(new PDRectangle(100, 500, 200, 24));
            widget.setPage(document.getPage(0));
            widget.setPrinted(true);
            document.getPage(0).getAnnotations().add(widget);
            field.setValue("61880.00");
            if (!withAppearance) widget.getCOSObject().removeItem(COSName.AP);
        });
        assertThat(Pdfs.pages(target).get(2)).contains("61880.00").endsWith("3");
        try (PDDocument document = Loader.loadPDF(target.toFile())) {
            assertThat(document.getPage(2).getAnnotations()).isEmpty();
            assertThat(document.getDocumentCatalog().getAcroForm()).isNull();
        }
    }

    @Test
    void whatRunsIsLeftBehind() throws IOException {
        produce(1, document -> {
            link(document.getPage(0)).setAction(new PDActionJavaScript("app.alert('x')"));
            COSDictionary page = document.getPage(0).getCOSObject();
            COSDictionary opening = new COSDictionary();
            opening.setItem(COSName.O, new PDActionJavaScript("app.alert('y')").getCOSObject());
            page.setItem(COSName.AA, opening);
            page.setItem(COSName.getPDFName("PieceInfo"), new COSArray(List.of(new COSString("private"))));
            document.getDocumentCatalog().setOpenAction(new PDActionJavaScript("app.alert('z')"));
        });
        String raw = allObjects();
        assertThat(raw).doesNotContain("JavaScript").doesNotContain("app.alert").doesNotContain("private");
    }
}
