package app.yellowtab.assemble;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.edit.Edits;
import app.yellowtab.facts.Length;
import app.yellowtab.files.Folders;
import app.yellowtab.finding.Progress;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.page.Redaction;
import app.yellowtab.model.page.Sheet;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.plan.Planner;
import app.yellowtab.prove.Prover;
import app.yellowtab.source.InPlace;
import app.yellowtab.testing.Folder;
import app.yellowtab.testing.NoEngine;
import app.yellowtab.testing.Pdfs;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.apache.pdfbox.util.Matrix;

/**
 * On a small page lies a word, at whatever slant; an area is redacted that reaches into its ink somewhere. Whatever else is done
 * to the page, and however it is measured, the word is gone whole.
 */
class RedactedLooksProperties {
    private static final String SECRET = "Typography";
    private static final double SIDE_MM = 2;
    private static final int DPI = 100;

    /** @return the page, which has a user unit and is turned */
    private static PDPage page(PDDocument document, Random random) throws IOException {
        PDPage page = new PDPage(new PDRectangle(-20, 30, 298, 420));
        page.setCropBox(new PDRectangle(-10, 40, 280, 400));
        page.setRotation(90 * random.nextInt(4));
        page.getCOSObject().setFloat("UserUnit", random.nextBoolean() ? 1 : 1.5f);
        document.addPage(page);
        try (PDPageContentStream content = new PDPageContentStream(document, page)) {
            content.beginText();
            content.setFont(new PDType1Font(Standard14Fonts.FontName.TIMES_ROMAN), 16);
            content.setTextMatrix(Matrix.getRotateInstance(Math.toRadians(random.nextInt(-14, 15)), 90, 240));
            content.showText(SECRET);
            content.endText();
        }
        return page;
    }

    /** {@return an area about a dot of ink of what is seen of the page} */
    private static Area inInk(Path file, float userUnit, Random random) throws IOException {
        BufferedImage seen = Pdfs.picture(file, 1, DPI);
        List<int[]> ink = new ArrayList<>();
        for (int x = 0; x < seen.getWidth(); x++) for (int y = 0; y < seen.getHeight(); y++)
            if ((seen.getRGB(x, y) & 255) < 90) ink.add(new int[] {x, y});
        int[] dot = ink.get(random.nextInt(ink.size()));
        // The picture is drawn in the page's own units.
        double mm = Length.MM_PER_INCH / DPI * userUnit;
        return new Area(dot[0] * mm - SIDE_MM / 2, dot[1] * mm - SIDE_MM / 2, SIDE_MM, SIDE_MM);
    }

    private static PageLook look(Random random, Redaction redaction) {
        Optional<Area> half = random.nextBoolean() ? Optional.empty() : Optional.of(new Area(0, 0, 60, 140));
        Optional<Sheet> sheet = random.nextBoolean() ? Optional.empty() : Optional.of(new Sheet(150, 210));
        double scale = sheet.isPresent() ? 0.6 + 0.6 * random.nextDouble() : 1;
        return new PageLook(random.nextInt(4), random.nextBoolean() ? 0 : random.nextInt(-9, 10), half, sheet, scale,
                List.of(redaction));
    }

    @Property(tries = 12)
    void aWordThatAnAreaReachesIntoIsGoneWhole(@ForAll long seed) throws IOException {
        Random random = new Random(seed);
        Path temp = Files.createTempDirectory("yellowtab-test-");
        try (InPlace place = new InPlace()) {
            Path matter = Files.createDirectories(temp.resolve("matter"));
            Path file = matter.resolve("S.pdf");
            float userUnit;
            try (PDDocument document = new PDDocument()) {
                userUnit = page(document, random).getUserUnit();
                document.save(file.toFile());
            }
            PageLook look = look(random, new Redaction(inInk(file, userUnit, random), "", false));
            Bundle bundle = Folder.bundle(place, matter);
            Bundle redacted = Edits.changeDocument(bundle, bundle.contents().documents().getFirst().id(), document -> document
                    .withRuns(List.of(((SourcePages) document.runs().getFirst()).withLook(look))));
            Path target = temp.resolve("bundle.pdf");
            Assembler.standard().assemble(Planner.plan(redacted), place, target, Progress.NONE, () -> false);
            assertThat(Pdfs.pages(target).get(2)).as("%s", look).doesNotContain(SECRET.substring(0, 4));
            assertThat(Prover.by(NoEngine::new).prove(target, Progress.NONE, () -> false).orElseThrow()
                    .findings()).as("%s", look).isEmpty();
        } finally {
            Folders.delete(temp);
        }
    }
}
