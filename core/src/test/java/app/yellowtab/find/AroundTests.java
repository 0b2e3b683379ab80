package app.yellowtab.find;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.edit.Edits;
import app.yellowtab.mark.MarkLook;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.CaseHeading;
import app.yellowtab.model.Party;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.entry.Agreement;
import app.yellowtab.model.number.LinePart;
import app.yellowtab.model.number.MarkSetting;
import app.yellowtab.model.number.RunningLine;
import app.yellowtab.model.number.Series;
import app.yellowtab.model.number.SeriesId;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.page.Redaction;
import app.yellowtab.model.run.BlankLook;
import app.yellowtab.model.run.BlankPages;
import app.yellowtab.model.run.EnclosedFile;
import app.yellowtab.model.run.FrontSheet;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.RunId;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.testing.Bundles;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import java.lang.reflect.RecordComponent;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** No words of ours leave that were not looked through for what is redacted. */
class AroundTests {
    /** What leaves, and is looked through: here, by its file, or page by page. */
    private static final Set<String> LOOKED = Set.of("Agreement.remark", "BlankLook.words", "CaseHeading.caseNumber",
            "CaseHeading.court", "CaseHeading.preparedBy", "CaseHeading.title", "Document.description", "Document.title",
            "EnclosedFile.supplied", "FrontSheet.mark", "PageLook.withheld", "PaperSet.note", "Party.name", "Party.role",
            "Redaction.reason", "Section.title", "Series.first", "Source.fileName", "SourceBookmark.title", "Typed.words");
    /** What leaves and is no more than a choice or a figure, and what stays in the house. */
    private static final Set<String> NOT_LOOKED = Set.of("AfterWords.until", "AfterWords.words", "BatchId.value",
            "BlankLook.tint", "BookmarkLook.colour", "BookmarkLook.view", "ConversionKey.value", "EntryId.value", "Field.form",
            "GivenNumber.number", "GivenNumber.pagesKey", "MarkedPages.numbers", "Mistake.expected", "Numbering.register",
            "OldNumbers.first", "PieceName.words", "Place.words", "Ranges.typed", "RecognitionChoice.languages", "RunId.value",
            "SerialNumber.prefix", "SerialNumber.suffix", "SeriesId.value", "ServedNumber.label", "SheetCode.name",
            "SheetCode.section", "Source.checksum", "Source.proposedTitle", "Source.sha256", "Source.storedName",
            "SourceId.value", "SourceReading.pagesKey", "Spared.reason", "Spared.words", "WordsFound.words");

    private static String word(int n) {
        return "Word" + (char) ('a' + n);
    }

    private static Bundle everywhere() {
        MarkSetting setting = new MarkSetting(Spot.STANDARD, MarkLook.NUMBER);
        List<Run> runs = List.of(
                SourcePages.of(new SourceId("x"), 1, 2).withLook(PageLook.PLAIN.withWithheld(Optional.of(word(0)))
                        .withRedactions(List.of(new Redaction(new Area(1, 1, 1, 1), word(1), false)))),
                new FrontSheet(RunId.fresh(), word(2)),
                new BlankPages(RunId.fresh(), 1, new BlankLook(BlankLook.PLAIN.sheet(), "", word(3)), true,
                        BlankPages.Sets.BOTH));
        Bundle bundle = Bundles.bundle(Bundles.document("x", 2), Bundles.document("y", 1), Bundles.section(word(4)))
                .withHeading(new CaseHeading(word(5), word(6), List.of(new Party(word(7), word(8))), word(9), Optional.empty(),
                        word(10)));
        Document first = bundle.contents().allDocuments().getFirst();
        Document second = bundle.contents().allDocuments().get(1);
        bundle = Edits.changeDocument(bundle, first.id(), its -> its.withRuns(runs).withTitle(word(11)).withDescription(word(12))
                .withAgreement(new Agreement(its.agreement().standing(), word(13))));
        bundle = Edits.changeDocument(bundle, second.id(),
                its -> its.withRuns(List.of(new EnclosedFile(RunId.fresh(), new SourceId("x"), true, word(14)))));
        return bundle.withLayout(bundle.layout().withPaper(bundle.layout().paper().withNote(word(15))))
                .withNumbering(bundle.numbering().withSeries(List.of(new Series(new SeriesId("s"), word(16) + "1", setting)))
                        .withLines(List.of(new RunningLine(new SeriesId("l"), setting, List.of(new LinePart.Typed(word(17)))))));
    }

    @Test
    void whateverIsTypedIsLookedThroughAndMendedWhereThatCanBe() {
        Bundle bundle = everywhere();
        List<Around.Text> texts = Around.of(bundle);
        assertThat(texts.stream().map(Around.Text::words).toList())
                .containsAll(IntStream.range(0, 18).mapToObj(n -> n == 16 ? word(n) + "1" : word(n)).toList());
        Bundle mended = bundle;
        for (Around.Text text : texts) if (text.fix().isPresent()) mended = text.fix().get().apply(mended, "clean");
        assertThat(Around.of(mended)).filteredOn(text -> text.fix().isPresent()).extracting(Around.Text::words)
                .containsOnly("clean");
        assertThat(Around.of(mended)).filteredOn(text -> text.fix().isEmpty()).extracting(Around.Text::what)
                .containsExactlyInAnyOrder("A party in the heading", "The role of a party in the heading",
                        "The reason why a page is withheld", "The reason of a redaction", "The numbers of a series");
    }

    @Test
    void aTextThatIsNewInTheModelIsSaidToLeaveOrNot() {
        Set<String> texts = new TreeSet<>();
        for (JavaClass one : new ClassFileImporter().importPackages("app.yellowtab.model")) {
            Class<?> type = one.reflect();
            for (RecordComponent part : type.isRecord() ? type.getRecordComponents() : new RecordComponent[0])
                if (part.getGenericType().getTypeName().contains("java.lang.String"))
                    texts.add(type.getSimpleName() + "." + part.getName());
        }
        texts.removeAll(LOOKED);
        assertThat(texts).isEqualTo(new TreeSet<>(NOT_LOOKED));
    }
}
