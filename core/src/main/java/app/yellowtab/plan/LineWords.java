package app.yellowtab.plan;

import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.leaf.PlannedEntry.PlannedDocument;
import app.yellowtab.leaf.PlannedEntry.PlannedSection;
import app.yellowtab.model.CaseHeading;
import app.yellowtab.model.Party;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.number.LineField;
import app.yellowtab.model.number.LinePart;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import java.time.LocalDateTime;
import java.util.AbstractList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** What lines at head and foot say on the leaves of a plan. Each is worded when it is asked for. */
final class LineWords {
    private final CaseHeading heading;
    private final List<Leaf> leaves;
    private final Map<SourceId, Source> sources;
    private final LocalDateTime produced;
    private final Map<EntryId, PlannedEntry> entries = new HashMap<>();
    /** The outermost section of each entry that lies in one. */
    private final Map<EntryId, PlannedSection> sections = new HashMap<>();
    private final String last;

    /** @param produced when the bundle is produced */
    LineWords(CaseHeading heading, List<Leaf> leaves, List<PlannedEntry> planned, Map<SourceId, Source> sources,
            LocalDateTime produced) {
        this.heading = heading;
        this.leaves = leaves;
        this.sources = sources;
        this.produced = produced;
        Optional<PlannedSection> section = Optional.empty();
        for (PlannedEntry entry : planned) {
            if (entry.depth() == 0)
                section = entry instanceof PlannedSection outermost ? Optional.of(outermost) : Optional.empty();
            entries.put(entry.id(), entry);
            section.ifPresent(its -> sections.put(entry.id(), its));
        }
        last = leaves.reversed().stream().filter(leaf -> leaf.number().isPresent()).findFirst().map(Leaf::label).orElse("");
    }

    /** {@return the words of a line on each leaf; empty where it does not reach} */
    List<String> of(List<LinePart> parts, Reach reach) {
        return new AbstractList<>() {
            @Override
            public String get(int leaf) {
                return reach.has(leaf) && !leaves.get(leaf).onlyPaper() ? words(parts, leaves.get(leaf)) : "";
            }

            @Override
            public int size() {
                return leaves.size();
            }
        };
    }

    /** Where all fields of a line are empty, what stands between them says nothing. */
    private String words(List<LinePart> parts, Leaf leaf) {
        StringBuilder words = new StringBuilder();
        boolean any = parts.stream().noneMatch(LinePart.Field.class::isInstance);
        for (LinePart part : parts) {
            switch (part) {
                case LinePart.Typed typed -> words.append(typed.words());
                case LinePart.Field field -> {
                    String value = value(field, leaf);
                    any |= !value.isEmpty();
                    words.append(value);
                }
            }
        }
        return any ? words.toString().strip() : "";
    }

    private String value(LinePart.Field field, Leaf leaf) {
        LineField of = field.of();
        return switch (of) {
            case BUNDLE_TITLE -> heading.title();
            case CASE_NUMBER -> heading.caseNumber();
            case PARTIES -> heading.parties().stream().map(Party::name).collect(Collectors.joining(" v "));
            case COURT -> heading.court();
            case PREPARED_BY -> heading.preparedBy();
            case PRODUCED -> LinePart.Field.shown(field.form(), produced);
            case PAGE -> leaf.label();
            case PAGES -> last;
            case SECTION -> Reach.entry(leaf.content()).flatMap(id -> Optional.ofNullable(sections.get(id)))
                    .map(section -> section.label() + ". " + section.title()).orElse("");
            case FILE_NAME -> leaf.content() instanceof Content.SourcePage page
                    ? Optional.ofNullable(sources.get(page.source())).map(Source::fileName).orElse("") : "";
            case TAB, DOCUMENT, DOCUMENT_DATE, DOCUMENT_PAGE, DOCUMENT_PAGES ->
                    document(leaf).map(document -> value(of, document, leaf)).orElse("");
        };
    }

    private String value(LineField of, PlannedDocument document, Leaf leaf) {
        return switch (of) {
            case TAB -> document.tab() == 0 ? "" : String.valueOf(document.tab());
            case DOCUMENT -> document.title();
            case DOCUMENT_DATE -> document.document().date().shown();
            case DOCUMENT_PAGE -> leaf.index() < document.span().first() || leaf.number().isEmpty() ? ""
                    : String.valueOf(leaf.number().get().value() - first(document) + 1);
            default -> leaf.index() < document.span().first() || leaf.number().isEmpty() ? ""
                    : String.valueOf(last(document) - first(document) + 1);
        };
    }

    /** {@return the value of the first number that a document bears; what is not counted is no page of it} */
    private int first(PlannedDocument document) {
        int at = document.span().first();
        while (leaves.get(at).number().isEmpty()) at++;
        return leaves.get(at).number().get().value();
    }

    private int last(PlannedDocument document) {
        int at = document.span().last();
        while (leaves.get(at).number().isEmpty()) at--;
        return leaves.get(at).number().get().value();
    }

    private Optional<PlannedDocument> document(Leaf leaf) {
        return Reach.entry(leaf.content()).map(entries::get).filter(PlannedDocument.class::isInstance)
                .map(PlannedDocument.class::cast);
    }
}
