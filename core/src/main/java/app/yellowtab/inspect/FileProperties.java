package app.yellowtab.inspect;

import app.yellowtab.convert.page.Parts;
import app.yellowtab.convert.page.Xml;
import app.yellowtab.facts.Properties;
import app.yellowtab.model.source.SourceKind;
import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.imaging.tiff.TiffMetadataReader;
import com.drew.metadata.Metadata;
import com.drew.metadata.avi.AviDirectory;
import com.drew.metadata.exif.ExifDirectoryBase;
import com.drew.metadata.exif.ExifSubIFDDirectory;
import com.drew.metadata.mov.QuickTimeDirectory;
import com.drew.metadata.mp4.Mp4Directory;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.Calendar;
import java.util.Optional;
import java.util.TimeZone;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.sound.sampled.AudioFileFormat;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.UnsupportedAudioFileException;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDDocumentInformation;
import org.apache.poi.hpsf.HPSFException;
import org.apache.poi.hpsf.PropertySetFactory;
import org.apache.poi.hpsf.SummaryInformation;
import org.apache.poi.poifs.filesystem.POIFSFileSystem;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.w3c.dom.Element;

/** Reads what files say of themselves. What cannot be read is as if it were not said. */
public final class FileProperties {
    private static final Logger LOG = LoggerFactory.getLogger(FileProperties.class);
    private static final int RTF_HEAD_BYTES = 64 << 10;
    private static final Pattern RTF_TITLE = Pattern.compile("\\{\\\\title ([^{}\\\\]*)\\}");
    private static final Pattern RTF_MADE = Pattern.compile("\\\\creatim\\\\yr(\\d{4})\\\\mo(\\d{1,2})\\\\dy(\\d{1,2})");
    private static final Pattern DAY = Pattern.compile("(\\d{4})[-:](\\d{2})[-:](\\d{2})");

    private FileProperties() {}

    /** {@return what a file of another kind than PDF says of itself} */
    public static Properties of(Path file, SourceKind kind, ZoneId zone) {
        try {
            return switch (kind) {
                case DOCX, XLSX, PPTX -> ofXml(file, "docProps/core.xml", "created", zone);
                case ODT, ODS, ODP -> ofXml(file, "meta.xml", "creation-date", zone);
                case DOC, XLS, PPT -> ofSummary(file, zone);
                case RTF -> ofRichText(file);
                case JPEG, PNG -> ofPicture(ImageMetadataReader.readMetadata(file.toFile()));
                // A long TIFF is not read through a buffer that holds all of it.
                case TIFF -> ofPicture(TiffMetadataReader.readMetadata(file.toFile()));
                case PDF, GIF, BMP, WEBP, JP2, CSV, TEXT, HTML, EML, MSG, OTHER -> Properties.NONE;
            };
        } catch (IOException | HPSFException | ImageProcessingException | RuntimeException | Error unreadable) {
            LOG.info("properties cannot be read: {}", file, unreadable);
            return Properties.NONE;
        }
    }

    /** {@return what a PDF says of itself (ISO 32000-1:2008, 14.3.3)} */
    static Properties of(PDDocument document) {
        try {
            PDDocumentInformation information = document.getDocumentInformation();
            Calendar made = information.getCreationDate();
            return properties(information.getTitle(), Optional.ofNullable(made)
                    .map(calendar -> calendar.toInstant().atZone(calendar.getTimeZone().toZoneId()).toLocalDate()));
        } catch (RuntimeException damaged) {
            LOG.info("properties cannot be read", damaged);
            return Properties.NONE;
        }
    }

    /** {@return how long a recording is, in seconds; 0 where it does not say, or is none} */
    public static int lengthSeconds(Path file) {
        try {
            Metadata metadata = ImageMetadataReader.readMetadata(file.toFile());
            double longest = 0;
            for (var part : metadata.getDirectories()) {
                Double said = switch (part) {
                    case Mp4Directory movie -> movie.getDoubleObject(Mp4Directory.TAG_DURATION_SECONDS);
                    case QuickTimeDirectory movie -> movie.getDoubleObject(QuickTimeDirectory.TAG_DURATION_SECONDS);
                    case AviDirectory movie -> movie.getDoubleObject(AviDirectory.TAG_DURATION);
                    default -> null;
                };
                if (said != null) longest = Math.max(longest, said);
            }
            return longest > 0 ? (int) Math.min(Integer.MAX_VALUE, Math.max(1, Math.round(longest))) : soundSeconds(file);
        } catch (IOException | ImageProcessingException | RuntimeException | Error unreadable) {
            LOG.info("no length can be read: {}", file, unreadable);
            return soundSeconds(file);
        }
    }

    private static int soundSeconds(Path file) {
        try {
            AudioFileFormat format = AudioSystem.getAudioFileFormat(file.toFile());
            float rate = format.getFormat().getFrameRate();
            return rate > 0 && format.getFrameLength() > 0 ? Math.max(1, Math.round(format.getFrameLength() / rate)) : 0;
        } catch (IOException | UnsupportedAudioFileException | RuntimeException | Error unreadable) {
            LOG.info("no recording that is known: {}", file, unreadable);
            return 0;
        }
    }

    /** Dublin Core, in the forms of ECMA-376 part 2 (11) and OpenDocument 1.3 part 3 (4.3). */
    private static Properties ofXml(Path file, String part, String made, ZoneId zone) throws IOException {
        try (Parts parts = new Parts(file)) {
            Optional<Element> root = parts.xml(part);
            if (root.isEmpty()) return Properties.NONE;
            return properties(text(root.get(), "title"), dayOf(text(root.get(), made), zone));
        }
    }

    private static String text(Element root, String name) {
        return Xml.all(root, name).stream().map(Element::getTextContent).findFirst().orElse("");
    }

    /** [MS-OLEPS]; times are in UTC. */
    private static Properties ofSummary(Path file, ZoneId zone) throws IOException, HPSFException {
        try (POIFSFileSystem system = new POIFSFileSystem(file.toFile(), true)) {
            if (!(PropertySetFactory.create(system.getRoot(),
                    SummaryInformation.DEFAULT_STREAM_NAME) instanceof SummaryInformation summary))
                return Properties.NONE;
            return properties(summary.getTitle(),
                    Optional.ofNullable(summary.getCreateDateTime()).map(time -> time.toInstant().atZone(zone).toLocalDate()));
        }
    }

    private static Properties ofRichText(Path file) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            String head = new String(in.readNBytes(RTF_HEAD_BYTES), StandardCharsets.ISO_8859_1);
            Matcher title = RTF_TITLE.matcher(head);
            Matcher made = RTF_MADE.matcher(head);
            return properties(title.find() ? title.group(1) : "",
                    made.find() ? day(made.group(1), made.group(2), made.group(3)) : Optional.empty());
        }
    }

    /** When a photograph was taken (EXIF 2.32, tag 0x9003), by the camera's own clock. */
    private static Properties ofPicture(Metadata metadata) {
        for (var exif : metadata.getDirectoriesOfType(ExifSubIFDDirectory.class)) {
            var taken = exif.getDate(ExifDirectoryBase.TAG_DATETIME_ORIGINAL, TimeZone.getTimeZone(ZoneOffset.UTC));
            if (taken != null) return new Properties("", Optional.of(taken.toInstant().atZone(ZoneOffset.UTC).toLocalDate()));
        }
        return Properties.NONE;
    }

    /** {@return the day of a moment; of a time that does not say where it is, the day that stands there} */
    private static Optional<LocalDate> dayOf(String text, ZoneId zone) {
        try {
            return Optional.of(OffsetDateTime.parse(text).atZoneSameInstant(zone).toLocalDate());
        } catch (DateTimeException noMoment) {
            return day(text);
        }
    }

    private static Optional<LocalDate> day(String text) {
        Matcher day = DAY.matcher(text);
        return day.lookingAt() ? day(day.group(1), day.group(2), day.group(3)) : Optional.empty();
    }

    private static Optional<LocalDate> day(String year, String month, String day) {
        try {
            return Optional.of(LocalDate.of(Integer.parseInt(year), Integer.parseInt(month), Integer.parseInt(day)));
        } catch (DateTimeException none) {
            return Optional.empty();
        }
    }

    private static Properties properties(@Nullable String title, Optional<LocalDate> made) {
        return new Properties(title == null ? "" : title.strip(), made);
    }
}
