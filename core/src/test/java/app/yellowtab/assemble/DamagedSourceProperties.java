package app.yellowtab.assemble;

import static java.nio.file.StandardCopyOption.REPLACE_EXISTING;
import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.finding.Progress;
import app.yellowtab.model.Bundle;
import app.yellowtab.output.DraftFile;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.sample.SampleMatter;
import app.yellowtab.source.InPlace;
import app.yellowtab.testing.Folder;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.lifecycle.AfterContainer;
import net.jqwik.api.lifecycle.BeforeContainer;

/** Whatever happens to a file on its way, the rest of the bundle is produced, and every number in it is right. */
class DamagedSourceProperties {
    private static final Duration LIMIT = Duration.ofSeconds(15);
    private static Path temp;
    private static byte[] whole;

    @BeforeContainer
    static void write() throws IOException {
        temp = Files.createTempDirectory("yellowtab-test-");
        SampleMatter.writeFolder(temp.resolve("sample"), "A - Statements of case");
        whole = Files.readAllBytes(temp.resolve("sample/A - Statements of case/2 Particulars of claim 2031-03-04.pdf"));
    }

    @AfterContainer
    static void clear() throws IOException {
        try (var all = Files.walk(temp)) {
            for (Path file : all.sorted(Comparator.reverseOrder()).toList()) Files.delete(file);
        }
    }

    private static byte[] damaged(long seed) {
        Random random = new Random(seed);
        byte[] bytes = whole.clone();
        switch (random.nextInt(4)) {
            case 0 -> bytes = Arrays.copyOf(bytes, random.nextInt(bytes.length));
            case 1 -> {
                for (int i = 0; i < 1 + random.nextInt(60); i++)
                    bytes[random.nextInt(bytes.length)] ^= (byte) (1 << random.nextInt(8));
            }
            case 2 -> {
                int at = random.nextInt(bytes.length);
                int length = Math.min(1 + random.nextInt(2000), bytes.length - at);
                bytes = Arrays.copyOf(bytes, bytes.length + length);
                System.arraycopy(whole, at, bytes, at + length, whole.length - at);
            }
            default -> {
                int from = random.nextInt(bytes.length);
                int length = Math.min(random.nextInt(400), bytes.length - from);
                System.arraycopy(bytes, from, bytes, random.nextInt(bytes.length - length), length);
            }
        }
        return bytes;
    }

    /** Three damaged files in each bundle. */
    @Property
    void theRestIsAlwaysProduced(@ForAll long seed) throws IOException {
        Path matter = Files.createDirectories(temp.resolve("matter"));
        for (int i = 0; i < 3; i++) Files.write(matter.resolve("1 damaged " + i + ".pdf"), damaged(seed + i));
        Pdfs.write(matter, "2 sound", 2);
        Path target = temp.resolve("bundle.pdf");
        try (InPlace place = new InPlace()) {
            Bundle bundle = Folder.bundle(place, matter);
            Plan plan = Planner.plan(bundle);
            Assembler assembler =
                    new StreamingAssembler(DraftFile::open, (draft, to) -> Files.move(draft, to, REPLACE_EXISTING), LIMIT);
            Outcome outcome = assembler.assemble(plan, place, target, Progress.NONE, () -> false);
            assertThat(((Outcome.Written) outcome).pages()).isEqualTo(plan.pageCount());
            int last = Pdfs.pageCount(target);
            assertThat(last).isEqualTo(plan.pageCount());
            assertThat(Pdfs.pagesFrom(target, last - 1)).containsExactly("2 sound-1 " + (last - 1), "2 sound-2 " + last);
        }
    }
}
