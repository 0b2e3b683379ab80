package app.yellowtab.assemble;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.finding.Progress;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.source.InPlace;
import app.yellowtab.testing.Folder;
import app.yellowtab.testing.LeafPictures;
import app.yellowtab.testing.Pdfs;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class LeafPicturesTests {
    @TempDir
    private Path folder;

    @Test
    void showsTheSlipThatStandsForALostPage() throws IOException {
        Path matter = Files.createDirectories(folder.resolve("matter"));
        Pdfs.write(matter, "P", 1);
        try (InPlace place = new InPlace()) {
            Plan plan = Planner.plan(Folder.bundle(place, matter));
            int[] sound = Pdfs.ink(LeafPictures.draw(plan, place, 2, 595).image());
            int[] slip = Pdfs.ink(LeafPictures.draw(plan, Meddling.brokenPages(place), 2, 595).image());
            assertThat(sound[1]).as("the page's own words begin below its middle").isGreaterThan(400);
            assertThat(slip[1]).as("the slip's words begin above it").isBetween(280, 400);
        }
    }

    @Test
    void showsEachLeafAsItIsProducedButForItsNumber() throws IOException {
        Path matter = Files.createDirectories(folder.resolve("matter/A - Letters"));
        Pdfs.write(matter, "P", 2, document -> document.getPage(1).setRotation(90));
        try (InPlace place = new InPlace()) {
            Plan plan = Planner.plan(Folder.bundle(place, matter.getParent()));
            Path target = folder.resolve("bundle.pdf");
            Assembler.standard().assemble(plan, place, target, Progress.NONE, () -> false);
            for (int number = 1; number <= plan.pageCount(); number++) {
                BufferedImage produced = Pdfs.picture(target, number, 144);
                BufferedImage preview = LeafPictures.draw(plan, place, number - 1, produced.getWidth()).image();
                assertThat(preview.getHeight()).isBetween(produced.getHeight() - 2, produced.getHeight() + 2);
                int[] expected = Pdfs.ink(withoutNumber(produced));
                int[] seen = Pdfs.ink(preview);
                for (int i = 0; i < 4; i++)
                    assertThat(seen[i]).as("leaf %d, side %d of its ink", number, i).isBetween(expected[i] - 3, expected[i] + 3);
            }
        }
    }

    /** {@return a page that is white where the number is} */
    private static BufferedImage withoutNumber(BufferedImage page) {
        for (int y = page.getHeight() - 90; y < page.getHeight() - 50; y++) {
            for (int x = page.getWidth() - 120; x < page.getWidth() - 50; x++) page.setRGB(x, y, 0xFFFFFF);
        }
        return page;
    }
}
