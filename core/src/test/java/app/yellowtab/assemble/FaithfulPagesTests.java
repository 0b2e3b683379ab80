package app.yellowtab.assemble;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.finding.Finding;
import app.yellowtab.plan.Planner;
import app.yellowtab.source.InPlace;
import app.yellowtab.testing.Folder;
import app.yellowtab.testing.Pdfs;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSString;
import org.apache.pdfbox.pdmodel.PDDestinationNameTreeNode;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDDocumentNameDictionary;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.apache.pdfbox.pdmodel.graphics.optionalcontent.PDOptionalContentGroup;
import org.apache.pdfbox.pdmodel.graphics.optionalcontent.PDOptionalContentProperties;
import org.apache.pdfbox.pdmodel.interactive.action.PDActionJavaScript;
import org.apache.pdfbox.pdmodel.interactive.action.PDActionURI;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationLink;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationText;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationWidget;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.destination.PDNamedDestination;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.destination.PDPageFitDestination;
import org.apache.pdfbox.pdmodel.interactive.form.PDAcroForm;
import org.apache.pdfbox.pdmodel.interactive.form.PDTextField;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
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
            try (var more = new PDPageContentStream(document, document.getPage(0), PDPageContentStream.AppendMode.APPEND, false)) {
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
    void hiddenLayersStayHidden() throws IOException {
        produce(1, document -> {
            PDOptionalContentProperties layers = new PDOptionalContentProperties();
            PDOptionalContentGroup draft = new PDOptionalContentGroup("Draft");
            layers.addGroup(draft);
            layers.setGroupEnabled(draft, false);
            document.getDocumentCatalog().setOCProperties(layers);
            try (var more = new PDPageContentStream(document, document.getPage(0), PDPageContentStream.AppendMode.APPEND, false)) {
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
    void aLinkToNowhereIsTakenOffAndReported() throws IOException {
        Outcome.Written written = produce(1, document -> link(document.getPage(0)).setDestination(new PDNamedDestination("lost")));
        assertThat(Pdfs.linkTargets(target, 3)).isEmpty();
        assertThat(written.findings()).extracting(Finding::message).containsExactly("S.pdf: links to pages that are not in the bundle, or to other files, were taken off (1, on page 1). "
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
        assertThat(written.findings()).extracting(Finding::message).singleElement().asString().startsWith("S.pdf carries comments or other marks of reviewers, and they are in the bundle (1, on page 2)");
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
