package app.yellowtab.edit.page;

import app.yellowtab.model.run.BlankPages;
import app.yellowtab.model.run.EnclosedFile;
import app.yellowtab.model.run.FrontSheet;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.run.ReservedPages;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.RunId;
import app.yellowtab.model.run.Runs;
import app.yellowtab.model.run.SourcePages;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * Neighbouring pages of a document that are chosen, or are not.
 *
 * @param pages of one kind and one run
 */
record Stretch(Run pages, boolean chosen) {
    /**
     * {@return the pages of a document in stretches, in their order} Blank and reserved pages of a run are all alike: those that
     * are chosen stand behind the others.
     */
    static List<Stretch> of(List<Run> runs, Set<PageKey> chosen) {
        List<Stretch> all = new ArrayList<>();
        for (Run run : runs) {
            switch (run) {
                case SourcePages pages -> of(pages, chosen, all);
                case BlankPages blank -> {
                    int count = count(run, chosen);
                    if (count < blank.count()) all.add(new Stretch(
                            new BlankPages(blank.id(), blank.count() - count, blank.look(), blank.counted(), blank.sets()),
                            false));
                    if (count > 0) all.add(new Stretch(new BlankPages(count == blank.count() ? blank.id() : RunId.fresh(), count,
                            blank.look(), blank.counted(), blank.sets()), true));
                }
                case ReservedPages reserved -> {
                    int count = count(run, chosen);
                    if (count < reserved.count())
                        all.add(new Stretch(new ReservedPages(reserved.id(), reserved.count() - count), false));
                    if (count > 0)
                        all.add(new Stretch(new ReservedPages(count == reserved.count() ? reserved.id() : RunId.fresh(), count),
                                true));
                }
                case FrontSheet sheet -> all.add(new Stretch(sheet, chosen.contains(sheet.key(1))));
                case EnclosedFile file -> all.add(new Stretch(file, file.sheet() && chosen.contains(file.key(1))));
            }
        }
        return all;
    }

    private static void of(SourcePages run, Set<PageKey> chosen, List<Stretch> all) {
        int from = run.first();
        for (int page = run.first() + 1; page <= run.last() + 1; page++) {
            boolean is = chosen.contains(new PageKey(run.id(), from));
            if (page <= run.last() && chosen.contains(new PageKey(run.id(), page)) == is) continue;
            all.add(new Stretch(run.part(from, page - 1), is));
            from = page;
        }
    }

    private static int count(Run run, Set<PageKey> chosen) {
        int count = 0;
        for (int n = 1; n <= run.pageCount(); n++) if (chosen.contains(run.key(n))) count++;
        return count;
    }

    /** {@return which of its pages a page is, counted from 1; 0 where it is none of them} */
    int place(PageKey key) {
        for (int n = 1; n <= pages.pageCount(); n++) if (pages.key(n).equals(key)) return n;
        return 0;
    }

    /** {@return some of its pages, counted from 1} */
    Stretch part(int first, int last) {
        return new Stretch(Runs.part(pages, first, last), chosen);
    }

    /** {@return whether its pages may stand in another document too: those of sources, blank and reserved ones} */
    boolean isMovable() {
        return !(pages instanceof FrontSheet || pages instanceof EnclosedFile);
    }

    /** {@return the runs of stretches, in as few as there can be} */
    static List<Run> runs(List<Stretch> stretches) {
        return Runs.merged(stretches.stream().map(Stretch::pages).toList());
    }
}
