package app.yellowtab.recognise;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.yellowtab.finding.Progress;
import app.yellowtab.ink.GreyPicture;
import app.yellowtab.intake.Recognition;
import app.yellowtab.model.source.Source;
import app.yellowtab.sample.paper.RehearsalFile;
import app.yellowtab.sample.paper.RehearsalFile.Packing;
import app.yellowtab.sample.paper.RehearsalSheets;
import app.yellowtab.source.InPlace;
import app.yellowtab.testing.Folder;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Scans that are damaged, or hardly any, read by an engine that finds one word on every page. */
class BadScansTests {
    /** Finds one word, and counts how often it was asked. */
    private static final class OneWord implements TextRecogniser {
        private final List<GreyPicture> pictures = Collections.synchronizedList(new ArrayList<>());

        @Override
        public List<ReadWord> read(GreyPicture picture) {
            pictures.add(picture);
            return List
                    .of(new ReadWord(0, "word", 0, 0, Math.max(1, picture.width() / 2), Math.max(1, picture.height() / 2), 90));
        }

        @Override
        public String engine() {
            return "stand-in 1";
        }

        @Override
        public String languages() {
            return "eng";
        }

        @Override
        public void close() {}
    }

    @TempDir
    private Path temp;
    private Path matter;
    private InPlace place;
    private final OneWord engine = new OneWord();

    @BeforeEach
    void open() throws IOException {
        matter = Files.createDirectories(temp.resolve("matter"));
        place = new InPlace(List.of());
    }

    @AfterEach
    void close() throws IOException {
        place.close();
    }

    private Source scan(Packing packing, BufferedImage... sides) throws IOException {
        RehearsalFile.write(List.of(sides), packing, 100, matter.resolve("scan.pdf"));
        return Folder.bundle(place, matter).sources().getFirst();
    }

    private Recognition.Done recognise(Source source) throws IOException {
        place.know(List.of(source));
        return new Recognition(place, place.recognisedFolder().orElseThrow(), engine, 2).read(source.id(), Progress.NONE,
                () -> false);
    }

    private static BufferedImage side(int seed) {
        BufferedImage side = new BufferedImage(827, 1169, BufferedImage.TYPE_BYTE_GRAY);
        Graphics2D g = side.createGraphics();
        g.setColor(Color.WHITE);
        g.fillRect(0, 0, 827, 1169);
        g.setColor(Color.BLACK);
        Random random = new Random(seed);
        for (int i = 0; i < 400; i++) g.fillRect(80 + random.nextInt(660), 80 + random.nextInt(1000), 8, 11);
        g.dispose();
        return side;
    }

    @ParameterizedTest
    @EnumSource(Packing.class)
    void aPageWithADamagedPictureTakesNoOtherDown(Packing packing) throws IOException {
        boolean bits = packing == Packing.CCITT || packing == Packing.JBIG2;
        BufferedImage[] sides = {side(1), side(2), side(3)};
        if (bits) for (int i = 0; i < 3; i++) sides[i] = RehearsalSheets.blackAndWhite(sides[i]);
        RehearsalFile.write(List.of(sides), packing, 100, matter.resolve("scan.pdf"));
        for (int manner = 0; manner < 2; manner++) {
            damage(matter.resolve("scan.pdf"), manner);
            Source source = Folder.bundle(place, matter).sources().getFirst();
            Recognition.Done done = recognise(source);
            assertThat(done.lost()).as("manner %d", manner).isSubsetOf(2);
            assertThat(done.list()).as("the others are kept").isNotEmpty();
            assertThat(done.read() + done.known() + done.lost().size()).isEqualTo(3);
        }
    }

    /** Damages the picture of the second page: cut off, or here and there. */
    private static void damage(Path file, int manner) throws IOException {
        try (PDDocument document = Loader.loadPDF(Files.readAllBytes(file))) {
            COSStream picture = document.getPage(1).getResources()
                    .getXObject(document.getPage(1).getResources().getXObjectNames().iterator().next()).getCOSObject();
            byte[] bytes;
            try (InputStream raw = picture.createRawInputStream()) {
                bytes = raw.readAllBytes();
            }
            if (manner == 0) bytes = Arrays.copyOf(bytes, bytes.length / 3);
            else new Random(3).ints(60, bytes.length / 4, bytes.length).forEach(new Damage(bytes)::at);
            try (OutputStream out = picture.createRawOutputStream()) {
                out.write(bytes);
            }
            picture.setInt(COSName.LENGTH, bytes.length);
            document.save(file.toFile());
        }
    }

    private record Damage(byte[] bytes) {
        void at(int place) {
            bytes[place] ^= 0x5A;
        }
    }

    @Test
    void sheetsOfOnePixelAndOfThirtyThousandAreRead() throws IOException {
        BufferedImage dot = new BufferedImage(1, 1, BufferedImage.TYPE_BYTE_BINARY);
        BufferedImage wide = new BufferedImage(30_000, 400, BufferedImage.TYPE_BYTE_BINARY);
        Recognition.Done done = recognise(scan(Packing.CCITT, dot, wide, RehearsalSheets.blackAndWhite(side(1))));
        assertThat(done.lost()).isEmpty();
        assertThat(engine.pictures)
                .allSatisfy(picture -> assertThat((long) picture.width() * picture.height()).isLessThan(25_000_000));
    }

    @Test
    void aPhotographWithoutWordsIsReadAndIsNotBlank() throws IOException {
        BufferedImage photo = new BufferedImage(827, 1169, BufferedImage.TYPE_INT_RGB);
        Random random = new Random(9);
        for (int y = 0; y < 1169; y++) for (int x = 0; x < 827; x++)
            photo.setRGB(x, y, Color.HSBtoRGB(x / 900f, 0.5f, (x * y % 700) / 900f + random.nextFloat() * 0.1f));
        Recognition.Done done = recognise(scan(Packing.JPEG, photo));
        assertThat(done.lost()).isEmpty();
        assertThat(engine.pictures).as("it was looked at").isNotEmpty();
    }

    @Test
    void whatCannotBeKeptIsSaidAndNothingIsLost() throws IOException {
        Source source = scan(Packing.JPEG, side(1));
        place.know(List.of(source));
        Path full = Files.writeString(temp.resolve("full"), "no folder");
        assertThatThrownBy(() -> new Recognition(place, full, engine, 1).read(source.id(), Progress.NONE, () -> false))
                .isInstanceOf(IOException.class);
        assertThat(recognise(source).read()).as("another time").isEqualTo(1);
    }

    @Test
    void itGoesOnWhereItWasStopped() throws IOException {
        Source source = scan(Packing.JPEG, side(1), side(2), side(3), side(4));
        place.know(List.of(source));
        AtomicInteger asked = new AtomicInteger();
        Recognition.Done stopped = new Recognition(place, place.recognisedFolder().orElseThrow(), engine, 1).read(source.id(),
                Progress.NONE, () -> asked.incrementAndGet() > 2);
        assertThat(stopped.list()).as("half a list is none").isEmpty();
        assertThat(stopped.read()).isEqualTo(2);
        Recognition.Done done = recognise(source);
        assertThat(done.known()).isEqualTo(2);
        assertThat(done.read()).isEqualTo(2);
        assertThat(done.list()).isNotEmpty();
    }
}
