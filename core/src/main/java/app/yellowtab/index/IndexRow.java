package app.yellowtab.index;

import app.yellowtab.leaf.PlannedEntry;
import java.util.List;

/**
 * One row of the printed index, set and broken into lines.
 *
 * @param entry            what it stands for
 * @param titleLines       its title
 * @param descriptionLines the smaller lines below; often none
 */
public record IndexRow(PlannedEntry entry, List<String> titleLines, List<String> descriptionLines) {
    /** {@return its height in points} */
    public float heightPt() {
        return heightPt(entry instanceof PlannedEntry.PlannedSection, titleLines.size(), descriptionLines.size());
    }

    static float heightPt(boolean section, int titleLines, int descriptionLines) {
        return titleLines * IndexLook.LINE_PT + descriptionLines * IndexLook.SMALL_LINE_PT
                + (section ? IndexLook.SECTION_GAP_PT : IndexLook.ROW_GAP_PT);
    }
}
