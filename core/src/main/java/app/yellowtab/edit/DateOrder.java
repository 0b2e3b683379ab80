package app.yellowtab.edit;

import app.yellowtab.model.contents.Contents;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.entry.DocumentDate;
import app.yellowtab.model.entry.EntryId;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * Documents whose dates are out of order, in sections that are otherwise in the order of their dates, the oldest or the newest
 * first. What belongs to another document, and what has no date, is passed over.
 */
public final class DateOrder {
    /** In fewer documents an order may be chance. */
    private static final int LEAST = 4;

    private DateOrder() {}

    /** {@return the documents at every depth that break the order of their section} */
    public static Set<EntryId> outOfOrder(Contents contents) {
        Set<EntryId> found = new HashSet<>(outOfOrder(contents.documents()));
        contents.forEachSection(section -> found.addAll(outOfOrder(section.contents().documents())));
        return found;
    }

    private static List<EntryId> outOfOrder(List<Document> documents) {
        List<Document> dated = documents.stream()
                .filter(document -> document.belongsTo().isEmpty() && document.date().firstDay().isPresent()).toList();
        if (dated.size() < LEAST) return List.of();
        long[] days = days(dated);
        boolean[] rising = inOrder(days);
        boolean[] falling = inOrder(Arrays.stream(days).map(day -> -day).toArray());
        boolean[] kept = count(falling) > count(rising) ? falling : rising;
        // Three out of four stand in order: then it is one, and the others are slips.
        if (count(kept) * 4 < dated.size() * 3) return List.of();
        List<EntryId> out = new ArrayList<>();
        for (int i = 0; i < kept.length; i++) if (!kept[i]) out.add(dated.get(i).id());
        return out;
    }

    /** {@return the days to compare, counted from 1970; of a month the day is not known, and it is the one that fits best} */
    private static long[] days(List<Document> dated) {
        long[] days = new long[dated.size()];
        for (int i = 0; i < days.length; i++) {
            LocalDate from = dated.get(i).date().firstDay().orElseThrow();
            days[i] = from.toEpochDay();
            boolean month = dated.get(i).date() instanceof DocumentDate.Month;
            if (month && i > 0) days[i] = Math.clamp(days[i - 1], days[i], from.plusMonths(1).toEpochDay() - 1);
        }
        return days;
    }

    /** {@return which of them make the longest row that never falls} */
    private static boolean[] inOrder(long[] days) {
        int[] ends = new int[days.length];
        int[] before = new int[days.length];
        int length = 0;
        for (int i = 0; i < days.length; i++) {
            int low = 0;
            for (int high = length; low < high;) {
                int middle = (low + high) >>> 1;
                if (days[ends[middle]] <= days[i]) low = middle + 1;
                else high = middle;
            }
            before[i] = low == 0 ? -1 : ends[low - 1];
            ends[low] = i;
            length = Math.max(length, low + 1);
        }
        boolean[] kept = new boolean[days.length];
        for (int i = length == 0 ? -1 : ends[length - 1]; i >= 0; i = before[i]) kept[i] = true;
        return kept;
    }

    private static int count(boolean[] kept) {
        int count = 0;
        for (boolean one : kept) if (one) count++;
        return count;
    }
}
