package app.yellowtab.prove;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.yellowtab.assemble.Assembler;
import app.yellowtab.assemble.Progress;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.ledger.Ledger;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.CaseHeading;
import app.yellowtab.model.Layout;
import app.yellowtab.model.Separators;
import app.yellowtab.plan.Planner;
import app.yellowtab.source.InPlace;
import app.yellowtab.testing.Folder;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import org.apache.pdfbox.Loader;
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
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationLink;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationText;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.destination.PDPageFitDestination;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDOutlineItem;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The bundle: 1 cover, 2 index, 3 and 4 pages of X with a link from 3 to 4, 5 section title, 6 and 7 with a picture, 8 turned. */
class ProverTests {
    @TempDir
    private Path folder;
    private Path target;
    private InPlace place;
    private Bundle bundle;

    @BeforeEach
    void produce() throws IOException {
        Path matter = Files.createDirectories(folder.resolve("matter"));
        Pdfs.write(matter, "X", 2, document -> {
            try {
                PDAnnotationLink link = new PDAnnotationLink();
                link.setRectangle(new PDRectangle(100, 700, 50, 20));
                PDPageFitDestination destination = new PDPageFitDestination();
                destination.setPage(document.getPage(1));
                link.setDestination(destination);
                document.getPage(0).getAnnotations().add(link);
            } catch (IOException e) {
                throw new IllegalStateException(e);
            }
        });
        Path photographs = Files.createDirectories(matter.resolve("A - Photographs"));
        Pdfs.write(photographs, "P", 2, document -> {
            Pdfs.picture(document, document.getPage(0), 40);
            Pdfs.picture(document, document.getPage(1), 200);
        });
        Pdfs.write(photographs, "Q", 1, document -> document.getPage(0).setRotation(90));
        target = folder.resolve("bundle.pdf");
        place = new InPlace();
        bundle = Folder.bundle(place, matter).withHeading(CaseHeading.EMPTY.withTitle("Trial bundle"));
        Assembler.standard().assemble(Planner.plan(bundle), place, target, Progress.NONE, () -> false);
    }

    @AfterEach
    void close() throws IOException {
        place.close();
    }

    private Proof prove() throws FindingException {
        return Prover.standard().prove(target, Progress.NONE, () -> false).orElseThrow();
    }

    private interface Change {
        void to(PDDocument document) throws IOException;
    }

    /** Changes the file as another program would: opened, changed, saved. */
    private void change(Change change) throws IOException {
        Path changed = folder.resolve("changed.pdf");
        try (PDDocument document = Loader.loadPDF(target.toFile())) {
            change.to(document);
            document.save(changed.toFile());
        }
        Files.delete(target);
        Files.move(changed, target);
    }

    @Test
    void aSoundBundleIsProved() throws IOException {
        assertThat(prove().findings()).isEmpty();
        assertThat(prove().summary()).startsWith("8 pages proved").contains("4 rows of the index", "5 bookmarks", "5 links");
    }

    @Test
    void everyKindOfLeafIsProved() throws IOException {
        for (Separators separators : Separators.values()) {
            Assembler.standard().assemble(Planner.plan(bundle.withLayout(new Layout(false, separators))), place, target, Progress.NONE, () -> false);
            assertThat(prove().findings()).isEmpty();
        }
    }

    @Test
    void aBundleMadeOfABundleIsProved() throws IOException {
        Path nested = Files.createDirectories(folder.resolve("nested"));
        Files.move(target, nested.resolve("earlier bundle.pdf"));
        Assembler.standard().assemble(Planner.plan(Folder.bundle(place, nested)), place, target, Progress.NONE, () -> false);
        assertThat(prove().findings()).isEmpty();
        assertThat(prove().pages()).isEqualTo(10);
    }

    @Test
    void savingByAnotherProgramWithoutAChangeIsNoDamage() throws IOException {
        change(document -> { });
        assertThat(prove().findings()).isEmpty();
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

    /** Ways to damage a produced bundle, each with what must be found and where. */
    private enum Damage implements Change {
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

        private final Code code;
        private final int page;

        Damage(Code code, int page) {
            this.code = code;
            this.page = page;
        }
    }

    @ParameterizedTest
    @EnumSource
    void everyDamageIsCaught(Damage damage) throws IOException {
        change(damage);
        Proof proof = prove();
        assertThat(proof.holds()).isFalse();
        assertThat(proof.findings()).anySatisfy(finding -> {
            assertThat(finding.code()).isEqualTo(damage.code);
            assertThat(finding.page()).isEqualTo(damage.page);
            assertThat(finding.message()).doesNotContain("{").isNotBlank();
        });
        assertThat(proof.summary()).startsWith("Not proved");
    }

    @Test
    void aByteChangedOnTheDiskIsCaught() throws IOException {
        byte[] bytes = Files.readAllBytes(target);
        int at = new String(bytes, StandardCharsets.ISO_8859_1).indexOf("stream\n") + 30;
        bytes[at] ^= 4;
        Files.write(target, bytes);
        assertThat(prove().holds()).isFalse();
    }

    @Test
    void whatCannotBeProvedIsSaid() throws IOException {
        Path ledger = Ledger.beside(target);
        String whole = Files.readString(ledger);
        Files.writeString(ledger, whole.substring(0, whole.length() / 2));
        assertThatThrownBy(this::prove).hasMessageStartingWith("bundle.ledger.json is damaged");
        Files.writeString(ledger, whole.replaceFirst("\\n?,?\\{\"number\":8.*", ""));
        assertThatThrownBy(this::prove).hasMessageStartingWith("bundle.ledger.json is damaged");
        Files.delete(ledger);
        assertThatThrownBy(this::prove).hasMessageContaining("its ledger, bundle.ledger.json, is not beside it");
        Files.writeString(ledger, whole);
        Files.writeString(target, "not a PDF");
        assertThatThrownBy(this::prove).hasMessageContaining("damaged, or no PDF");
        Files.delete(target);
        assertThatThrownBy(this::prove).hasMessageContaining("there is no such file");
    }

    @Test
    void itCanBeStopped() throws IOException {
        assertThat(Prover.standard().prove(target, Progress.NONE, () -> true)).isEmpty();
    }
}
