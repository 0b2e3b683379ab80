package app.yellowtab.find;

import app.yellowtab.edit.Edits;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.CaseHeading;
import app.yellowtab.model.Party;
import app.yellowtab.model.contents.Contents;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.Section;
import app.yellowtab.model.entry.Agreement;
import app.yellowtab.model.number.LinePart;
import app.yellowtab.model.number.RunningLine;
import app.yellowtab.model.number.Series;
import app.yellowtab.model.page.Redaction;
import app.yellowtab.model.run.BlankLook;
import app.yellowtab.model.run.BlankPages;
import app.yellowtab.model.run.EnclosedFile;
import app.yellowtab.model.run.FrontSheet;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.SourcePages;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.UnaryOperator;

/** All words of ours that leave with a bundle beside its pages: those that somebody typed, whatever they stand in. */
final class Around {
    private final Bundle bundle;
    private final List<Text> texts = new ArrayList<>();

    private Around(Bundle bundle) {
        this.bundle = bundle;
    }

    /**
     * Words that leave.
     *
     * @param what they are, such as "The title of a section"
     * @param fix  gives the bundle with other words instead; empty where only the user can
     */
    record Text(String what, String words, Optional<BiFunction<Bundle, String, Bundle>> fix) {}

    /** {@return all that are not empty, each once} */
    static List<Text> of(Bundle bundle) {
        Around around = new Around(bundle);
        around.heading();
        around.contents(bundle.contents());
        bundle.contents().allDocuments().forEach(around::document);
        around.numbering();
        around.add("The note on tab sheets", bundle.layout().paper().note(), (now, clean) -> now
                .withLayout(now.layout().withPaper(now.layout().paper().withNote(clean))));
        return around.texts;
    }

    private void add(String what, String words, BiFunction<Bundle, String, Bundle> fix) {
        if (!words.isBlank()) texts.add(new Text(what, words, Optional.of(fix)));
    }

    private void add(String what, String words) {
        if (!words.isBlank()) texts.add(new Text(what, words, Optional.empty()));
    }

    private void heading() {
        CaseHeading its = bundle.heading();
        add("The court in the heading", its.court(), head((now, clean) -> new CaseHeading(clean, now.caseNumber(), now.parties(),
                now.title(), now.hearing(), now.preparedBy())));
        add("The case number in the heading", its.caseNumber(), head((now, clean) -> new CaseHeading(now.court(), clean,
                now.parties(), now.title(), now.hearing(), now.preparedBy())));
        add("The title of the bundle", its.title(), head(CaseHeading::withTitle));
        add("Who prepared the bundle", its.preparedBy(), head((now, clean) -> new CaseHeading(now.court(), now.caseNumber(),
                now.parties(), now.title(), now.hearing(), clean)));
        for (Party party : its.parties()) {
            add("A party in the heading", party.name());
            add("The role of a party in the heading", party.role());
        }
    }

    private static BiFunction<Bundle, String, Bundle> head(BiFunction<CaseHeading, String, CaseHeading> change) {
        return (now, clean) -> now.withHeading(change.apply(now.heading(), clean));
    }

    private void contents(Contents contents) {
        for (Section section : contents.sections()) {
            add("The title of a section", section.title(), (now, clean) -> Edits.renameSection(now, section.id(), clean));
            contents(section.contents());
        }
    }

    private void document(Document document) {
        add("The title of a document", document.title(), with(document, Document::withTitle));
        add("The description of a document", document.description(), with(document, Document::withDescription));
        add("The remark on a document", document.agreement().remark(), with(document,
                (its, clean) -> its.withAgreement(new Agreement(its.agreement().standing(), clean))));
        Set<String> known = new LinkedHashSet<>();
        for (Run run : document.runs()) {
            switch (run) {
                case BlankPages blank -> add("The words on a blank page", blank.look().words(), with(document,
                        (its, clean) -> its.withRuns(its.runs().stream().map(one -> one.id().equals(blank.id())
                                && one instanceof BlankPages now
                                        ? new BlankPages(now.id(), now.count(),
                                                new BlankLook(now.look().sheet(), now.look().tint(), clean), now.counted(),
                                                now.sets())
                                        : one)
                                .toList())));
                case FrontSheet front -> add("The mark on a front sheet", front.mark(), with(document,
                        (its, clean) -> its.withRuns(its.runs().stream().map(one -> one.id().equals(front.id())
                                ? new FrontSheet(front.id(), clean) : one).toList())));
                case EnclosedFile file -> add("How a file is supplied", file.supplied(), with(document,
                        (its, clean) -> its.withRuns(its.runs().stream().map(one -> one instanceof EnclosedFile now
                                && now.id().equals(file.id()) ? new EnclosedFile(now.id(), now.source(), now.sheet(), clean)
                                        : one)
                                .toList())));
                case SourcePages pages -> {
                    pages.look().withheld().filter(known::add)
                            .ifPresent(reason -> add("The reason why a page is withheld", reason));
                    for (Redaction redaction : pages.look().redactions())
                        if (known.add(redaction.reason())) add("The reason of a redaction", redaction.reason());
                }
                default -> {}
            }
        }
    }

    private static BiFunction<Bundle, String, Bundle> with(Document document, BiFunction<Document, String, Document> change) {
        return (now, clean) -> Edits.changeDocument(now, document.id(), its -> change.apply(its, clean));
    }

    private void numbering() {
        for (Series series : bundle.numbering().series()) add("The numbers of a series", series.first());
        for (RunningLine line : bundle.numbering().lines()) for (LinePart part : line.parts())
            if (part instanceof LinePart.Typed typed) add("A line at the head or foot of pages", typed.words(),
                    (now, clean) -> now.withNumbering(now.numbering().withLines(each(now.numbering().lines(),
                            one -> one
                                    .withParts(each(one.parts(), its -> its.equals(typed) ? new LinePart.Typed(clean) : its))))));
    }

    private static <T> List<T> each(List<T> all, UnaryOperator<T> change) {
        return all.stream().map(change).toList();
    }
}
