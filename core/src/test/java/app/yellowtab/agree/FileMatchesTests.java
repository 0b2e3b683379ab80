package app.yellowtab.agree;

import static app.yellowtab.testing.Bundles.source;
import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.edit.Placeholders;
import app.yellowtab.facts.Origin;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Contents;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.InTray;
import app.yellowtab.model.entry.DateReader;
import app.yellowtab.model.entry.DocumentDate;
import app.yellowtab.model.source.Source;
import java.util.List;
import org.junit.jupiter.api.Test;

class FileMatchesTests {
    private static DocumentDate day(String typed) {
        return DateReader.read(typed, false).orElseThrow();
    }

    private static Document free(String title, String date, int pages) {
        return Placeholders.placeholder(title, pages).withDate(day(date));
    }

    private static Source file(String title, String date, int pages) {
        return source(title, pages).withTitle(title, Origin.FILE_NAME).withDate(day(date), Origin.FILE_NAME);
    }

    private static FileMatches of(List<Document> free, List<Source> files) {
        return FileMatches.of(Bundle.EMPTY.withSources(files).withContents(new Contents(free, List.of())));
    }

    @Test
    void eachFileFindsItsPlaceAndWhatHasNoneIsListedBothWays() {
        FileMatches matches = of(
                List.of(free("Letter before claim", "29 Nov 2030", 3),
                        free("Report of Dr Carrow on fruit storage", "1 July 2031", 12), free("Costs budget", "", 4)),
                List.of(file("Report Dr Carrow fruit storage", "1 July 2031", 12), file("Letter before claim", "29 Nov 2030", 3),
                        file("Photograph", "", 1)));
        assertThat(matches.matches()).extracting(match -> match.placeholder().title())
                .containsExactlyInAnyOrder("Letter before claim", "Report of Dr Carrow on fruit storage");
        assertThat(matches.matches()).allMatch(FileMatches.Match::isSure).allMatch(FileMatches.Match::sameDate)
                .allMatch(FileMatches.Match::samePages);
        assertThat(matches.matches().getFirst().percent()).isEqualTo(100);
        assertThat(matches.waiting()).extracting(Document::title).containsExactly("Costs budget");
        assertThat(matches.unmatched()).extracting(InTray::id).containsExactly("Photograph");
    }

    @Test
    void anotherDateMakesItUnsureAndTwoAlikeAreNeverSure() {
        FileMatches other = of(List.of(free("Letter to the store", "29 Nov 2030", 3)),
                List.of(file("Letter to the store", "30 Nov 2030", 3)));
        assertThat(other.matches().getFirst().isSure()).isFalse();
        FileMatches alike = of(List.of(free("Letter to the store", "29 Nov 2030", 3)),
                List.of(file("Letter to the store", "29 Nov 2030", 3), source("Letter to store", 3)
                        .withTitle("Letter to store", Origin.FILE_NAME).withDate(day("29 Nov 2030"), Origin.FILE_NAME)));
        assertThat(alike.matches()).hasSize(1);
        assertThat(alike.matches().getFirst().isSure()).isFalse();
        assertThat(alike.unmatched()).hasSize(1);
    }

    @Test
    void withoutADateAndALengthATitleAloneIsNotSure() {
        FileMatches matches =
                of(List.of(free("Insurer's note of cover", "", 1)), List.of(file("Insurer's note of cover", "", 2)));
        assertThat(matches.matches().getFirst().percent()).isBetween(60, FileMatches.SURE - 1);
    }
}
