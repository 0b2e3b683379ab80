package app.yellowtab.cli.option;

import app.yellowtab.edit.number.LineEdits;
import app.yellowtab.edit.number.NumberPreset;
import app.yellowtab.finding.FindingException;
import app.yellowtab.keep.NumberPresets;
import app.yellowtab.mark.MarkLook;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.number.BundleNumber;
import app.yellowtab.model.number.MarkSetting;
import app.yellowtab.model.number.RunningLine;
import app.yellowtab.model.number.SerialNumber;
import app.yellowtab.model.number.Series;
import app.yellowtab.model.number.SeriesId;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;
import picocli.CommandLine.Spec.Target;

/** What is printed on pages: numbers and lines. */
public final class NumberOptions {
    @Option(names = "--preset", paramLabel = "FILE.json",
            description = "Numbers and lines as this file has them, which was kept in the window.")
    private @Nullable Path preset;
    @Option(names = "--number", arity = "0..1", fallbackValue = "1", paramLabel = "START",
            description = "Running page numbers, from START on; otherwise from 1.")
    private @Nullable Integer number;
    @Option(names = "--place", paramLabel = "WHERE",
            description = "Where the number stands on every page, such as \"top middle\"; otherwise bottom right.")
    private @Nullable String place;
    @Option(names = "--bates", paramLabel = "FIRST",
            description = "Gives every page of the files a Bates number as well, at the bottom on the left, counting on from "
                    + "the first as it is typed, such as TH-000101.")
    private @Nullable String bates;
    @Option(names = "--line", paramLabel = "WHERE=WORDS",
            description = "A line at head or foot, such as \"top left={file}, page {page} of {pages}, {date}\"; may be given "
                    + "several times.")
    private List<String> lines = List.of();
    @Spec(Target.MIXEE)
    private CommandSpec spec = CommandSpec.create();

    /** {@return whether anything is asked for} */
    public boolean isGiven() {
        return preset != null || number != null || bates != null || !lines.isEmpty();
    }

    /** {@return whether running page numbers are asked for} */
    public boolean numbers() {
        return preset != null || number != null;
    }

    /** {@return a bundle with its numbers and lines as they were asked for} */
    public Bundle on(Bundle bundle) throws FindingException {
        Bundle now = preset == null ? bundle : NumberPresets.read(preset).preset().on(bundle);
        NumberPreset more = with(new NumberPreset(now.numbering().bundle(), List.of(), List.of()), place != null);
        List<Series> series = new ArrayList<>(now.numbering().series());
        series.addAll(more.series());
        List<RunningLine> all = new ArrayList<>(now.numbering().lines());
        all.addAll(more.lines());
        return now.withNumbering(now.numbering().withBundle(more.number()).withSeries(series).withLines(all));
    }

    /** {@return what was asked for, for loose files} */
    public NumberPreset preset() throws FindingException {
        NumberPreset base = preset == null ? NumberPreset.STANDARD : NumberPresets.read(preset).preset();
        return with(base, place != null && numbers());
    }

    /** @param placesNumber whether the place that was given is that of running numbers; otherwise it is that of Bates numbers */
    private NumberPreset with(NumberPreset base, boolean placesNumber) {
        BundleNumber its = base.number();
        if (number != null) {
            if (number < its.style().least() || number > BundleNumber.LARGEST_START)
                throw wrong("--number: " + number + " is no number to begin with; it is from " + its.style().least() + " to "
                        + BundleNumber.LARGEST_START + ".");
            its = its.withStart(number);
        }
        if (place != null && placesNumber) its = its.withSetting(its.setting().withSpot(spot("--place", place)));
        List<Series> series = new ArrayList<>(base.series());
        if (bates != null) series.add(series(placesNumber));
        List<RunningLine> all = new ArrayList<>(base.lines());
        for (String line : lines) all.add(line(line, all.size()));
        return new NumberPreset(its, series, all);
    }

    private Series series(boolean placesNumber) {
        String typed = bates == null ? "" : bates;
        SerialNumber first = SerialNumber.read(typed)
                .orElseThrow(() -> wrong("--bates: “" + typed + "” is no number to begin with, such as TH-000101."));
        if (!MarkLook.SERIES.hasLettersOf(first.shown()))
            throw wrong("--bates: “" + typed + "” has letters that cannot be printed.");
        return new Series(new SeriesId("bates"), typed.strip(),
                new MarkSetting(place != null && !placesNumber ? spot("--place", place) : Spot.OPPOSITE, MarkLook.SERIES));
    }

    private RunningLine line(String given, int n) {
        int sign = given.indexOf('=');
        if (sign < 0) throw wrong("--line: “" + given + "” does not say where. Write it like \"top left={file}, page {page}\".");
        try {
            return new RunningLine(new SeriesId("line " + (n + 1)),
                    new MarkSetting(spot("--line", given.substring(0, sign)), MarkLook.LINE),
                    LineEdits.read(given.substring(sign + 1).strip()));
        } catch (IllegalArgumentException unknown) {
            throw wrong("--line: " + unknown.getMessage());
        }
    }

    private Spot spot(String option, String words) {
        String[] parts = words.strip().toLowerCase(Locale.ROOT).split("\\s+");
        Optional<Spot.Row> row = switch (parts[0]) {
            case "top" -> Optional.of(Spot.Row.HEAD);
            case "middle" -> Optional.of(Spot.Row.MIDDLE);
            case "bottom" -> Optional.of(Spot.Row.FOOT);
            default -> Optional.empty();
        };
        Optional<Spot.Column> column = switch (parts.length == 2 ? parts[1] : "") {
            case "left" -> Optional.of(Spot.Column.LEFT);
            case "middle" -> Optional.of(Spot.Column.MIDDLE);
            case "right" -> Optional.of(Spot.Column.RIGHT);
            default -> Optional.empty();
        };
        if (row.isPresent() && column.isPresent())
            return new Spot(row.get(), column.get(), Spot.STANDARD.across(), Spot.STANDARD.down());
        throw wrong(option + ": “" + words.strip()
                + "” is no place; it is top, middle or bottom, and left, middle or right, such as \"bottom right\".");
    }

    private ParameterException wrong(String message) {
        return new ParameterException(spec.commandLine(), message);
    }
}
