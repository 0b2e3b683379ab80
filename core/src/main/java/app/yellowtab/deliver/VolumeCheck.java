package app.yellowtab.deliver;

import app.yellowtab.assemble.VolumeWeights;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.Subject;
import app.yellowtab.leaf.PlannedVolume;
import app.yellowtab.model.Volumes;
import app.yellowtab.model.Volumes.Division;
import app.yellowtab.plan.Plan;
import java.text.DecimalFormat;
import java.text.DecimalFormatSymbols;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.LongUnaryOperator;

/** Says before anything is written which volumes cannot be as small as they should. Stateless. */
public final class VolumeCheck {
    private static final double MB = 1e6;

    private VolumeCheck() {}

    /**
     * {@return what is to be said of a plan's volumes}
     *
     * @param weights of its leaves; empty where it is not divided by size
     */
    public static List<Finding> of(Plan plan, Volumes volumes, Optional<VolumeWeights> weights) {
        List<Finding> findings = new ArrayList<>();
        long front = plan.leaves().stream().takeWhile(leaf -> plan.entryAt(leaf.index()).isEmpty()).count();
        switch (volumes.by()) {
            case PAGES -> look(plan, volumes, front, first -> first + volumes.most() - front, " pages", findings);
            case SIZE -> weights.ifPresent(its -> look(plan, volumes, its.front(), first -> its.fits((int) first, volumes.most()),
                    " bytes", findings));
            case NOTHING, SECTIONS, LETTERS -> {}
        }
        return findings;
    }

    /** {@return whether something is what this says} */
    public static boolean isOf(Finding finding) {
        return finding.code() == Code.VOLUME_FRONT || finding.code() == Code.VOLUME_OVER;
    }

    private static void look(Plan plan, Volumes volumes, long front, LongUnaryOperator fits, String unit,
            List<Finding> findings) {
        if (front >= volumes.most()) {
            findings.add(new Finding(Code.VOLUME_FRONT, new Subject.OfThing(shown(volumes)),
                    String.format(Locale.UK, "%,d%s", front, unit)));
            return;
        }
        int begin = (int) plan.leaves().stream().takeWhile(leaf -> plan.entryAt(leaf.index()).isEmpty()).count();
        List<PlannedVolume> all = plan.parting().volumes().isEmpty()
                ? List.of(new PlannedVolume("1", 1, begin, plan.leaves().size() - 1, "", "")) : plan.parting().volumes();
        for (PlannedVolume volume : all) {
            if (fits.applyAsLong(volume.first()) > volume.last()) continue;
            String title = plan.entryAt(volume.last()).map(entry -> entry.title()).orElse("");
            findings.add(new Finding(Code.VOLUME_OVER, new Subject.OfThing(volume.words()),
                    "with cover and index \u201c" + title + "\u201d alone is more than " + shown(volumes)));
        }
    }

    /** {@return how large a volume may be, in words} */
    public static String shown(Volumes volumes) {
        return volumes.by() == Division.PAGES ? String.format(Locale.UK, "%,d pages", volumes.most())
                : new DecimalFormat("#,##0.##", DecimalFormatSymbols.getInstance(Locale.UK)).format(volumes.most() / MB) + " MB";
    }
}
