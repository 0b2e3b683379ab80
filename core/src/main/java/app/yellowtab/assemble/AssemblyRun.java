package app.yellowtab.assemble;

import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.model.CaseHeading;
import app.yellowtab.model.SourceId;
import app.yellowtab.pdf.FontSet;
import app.yellowtab.pdf.PageCopier;
import app.yellowtab.pdf.Typeface;
import app.yellowtab.plan.Leaf;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.PlannedEntry;
import app.yellowtab.sheet.IndexSheetSetter;
import app.yellowtab.sheet.SheetSetter;
import app.yellowtab.source.SourceFiles;
import app.yellowtab.stamp.NumberStamp;
import java.io.Closeable;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.zip.CRC32;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.pdfwriter.compress.CompressParameters;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDDocumentInformation;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PageMode;
import org.apache.pdfbox.pdmodel.common.PDPageLabelRange;
import org.apache.pdfbox.pdmodel.common.PDPageLabels;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.destination.PDPageXYZDestination;

/** One assembly: the document as it grows, and what was found on the way. */
final class AssemblyRun implements Closeable {
    private final Plan plan;
    private final SourceFiles sources;
    private final Progress progress;
    private final BooleanSupplier stop;
    private final PDDocument document = new PDDocument(IOUtils.createTempFileOnlyStreamCache());
    private final FontSet fonts = FontSet.forSaving(document);
    private final NumberStamp stamp = new NumberStamp(document, fonts);
    private final SheetSetter sheets;
    private final List<PDPage> pages = new ArrayList<>();
    private final List<Finding> findings = new ArrayList<>();

    AssemblyRun(Plan plan, SourceFiles sources, Progress progress, BooleanSupplier stop) {
        this.plan = plan;
        this.sheets = new SheetSetter(document, fonts, plan);
        this.sources = sources;
        this.progress = progress;
        this.stop = stop;
    }

    List<Finding> findings() {
        return findings;
    }

    /** Makes every leaf; {@return where it was stopped, or empty when it was not} */
    Optional<Outcome.Stopped> fill() throws IOException {
        for (int at = 0; at < plan.pageCount(); ) {
            if (stop.getAsBoolean()) return Optional.of(new Outcome.Stopped(pages.size()));
            Leaf leaf = plan.leaves().get(at);
            if (leaf instanceof Leaf.SourcePage first) {
                List<Leaf.SourcePage> together = together(first, at);
                if (!copy(together)) return Optional.of(new Outcome.Stopped(pages.size()));
                at += together.size();
            } else {
                PDPage page = SheetSetter.newPage();
                sheets.draw(leaf, page);
                finish(leaf.number(), page);
                at++;
            }
        }
        for (Leaf leaf : plan.leaves()) {
            if (leaf instanceof Leaf.IndexSheet index) {
                IndexSheetSetter.link(plan, index.sheet(), page(index.number()), this::page);
            }
        }
        complete();
        return Optional.empty();
    }

    /** Writes the document; the stream stays open. */
    void save(OutputStream out) throws IOException {
        document.setVersion(1.7f);
        document.setDocumentId(identity());
        document.save(out, CompressParameters.DEFAULT_COMPRESSION);
    }

    private PDPage page(int number) {
        return pages.get(number - 1);
    }

    /** {@return the leaves that follow each other from one document and one source: they are copied with the source open once} */
    private List<Leaf.SourcePage> together(Leaf.SourcePage first, int from) {
        List<Leaf.SourcePage> together = new ArrayList<>();
        for (int i = from; i < plan.pageCount(); i++) {
            if (!(plan.leaves().get(i) instanceof Leaf.SourcePage next) || !next.source().equals(first.source())
                    || !next.document().equals(first.document())) break;
            together.add(next);
        }
        return together;
    }

    private boolean copy(List<Leaf.SourcePage> leaves) throws IOException {
        SourceId id = leaves.getFirst().source();
        Path original = sources.original(id);
        try (PDDocument source = sources.open(id)) {
            PageCopier copier = new PageCopier(source, document);
            int last = leaves.stream().mapToInt(Leaf.SourcePage::page).max().orElseThrow();
            if (last > copier.pageCount()) {
                throw new FindingException(Finding.of(Code.PAGES_MISSING, original, copier.pageCount() + " instead of " + last), null);
            }
            List<PDPage> prepared = leaves.stream().map(leaf -> copier.prepare(leaf.page())).toList();
            for (int i = 0; i < leaves.size(); i++) {
                if (stop.getAsBoolean()) return false;
                int droppedBefore = copier.droppedLinks();
                if (!PageOrSlip.fill(copier, sheets, leaves.get(i), prepared.get(i), original)) {
                    findings.add(new Finding(Code.PAGE_LOST, original, leaves.get(i).page(), ""));
                }
                finish(leaves.get(i).number(), prepared.get(i));
                if (copier.droppedLinks() > droppedBefore) {
                    findings.add(new Finding(Code.LINK_DROPPED, original, leaves.get(i).page(), ""));
                }
            }
            copier.copyLayers();
            if (copier.comments() > 0) findings.add(Finding.of(Code.COMMENTS_KEPT, original, String.valueOf(copier.comments())));
        } catch (RuntimeException | StackOverflowError e) {
            throw new FindingException(Finding.of(Code.DAMAGED, original, "its pages cannot be made out"), e);
        }
        return true;
    }

    private void finish(int number, PDPage page) throws IOException {
        document.addPage(page);
        pages.add(page);
        stamp.put(number, page);
        progress.report(pages.size(), plan.pageCount());
    }

    private void complete() throws IOException {
        PDPageLabels labels = new PDPageLabels(document);
        PDPageLabelRange range = new PDPageLabelRange();
        range.setStyle(PDPageLabelRange.STYLE_DECIMAL);
        range.setStart(1);
        labels.setLabelItem(0, range);
        document.getDocumentCatalog().setPageLabels(labels);
        document.getDocumentCatalog().setDocumentOutline(Bookmarks.of(plan.bookmarks(), this::page));
        document.getDocumentCatalog().setPageMode(PageMode.USE_OUTLINES);
        PDPageXYZDestination opening = new PDPageXYZDestination();
        opening.setPage(page(1));
        document.getDocumentCatalog().setOpenAction(opening);
        document.getDocumentCatalog().setLanguage("en-GB");
        properties(plan.heading());
        reportMissingLetters();
    }

    private void properties(CaseHeading heading) {
        PDDocumentInformation information = new PDDocumentInformation();
        if (!heading.title().isBlank()) information.setTitle(heading.title());
        if (!heading.preparedBy().isBlank()) information.setAuthor(heading.preparedBy());
        if (!heading.caseNumber().isBlank()) information.setSubject(heading.caseNumber());
        information.setProducer("Yellow Tab");
        document.setDocumentInformation(information);
    }

    private void reportMissingLetters() {
        for (PlannedEntry entry : plan.entries()) {
            int missing = Typeface.SERIF.missingIn(entry.title());
            if (missing > 0) findings.add(Finding.of(Code.CHARACTERS_NOT_SHOWN, Path.of(safe(entry.title())), String.valueOf(missing)));
        }
    }

    private static String safe(String title) {
        return title.replaceAll("[/\\\\\\x00]", " ");
    }

    /** Made of what is printed and not of our ids, so that the same files give the same bytes whenever they are brought in. */
    private long identity() {
        CRC32 crc = new CRC32();
        crc.update((plan.heading() + " " + plan.bookmarks() + " " + plan.pageCount()).getBytes(StandardCharsets.UTF_8));
        return crc.getValue();
    }

    @Override
    public void close() throws IOException {
        document.close();
    }
}
