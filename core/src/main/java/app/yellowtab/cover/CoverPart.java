package app.yellowtab.cover;

import app.yellowtab.pdf.Typeface;

/**
 * A line on a cover page, set.
 *
 * @param text  its words; empty for a rule across the measure
 * @param right whether it stands at the right end of the measure; otherwise in its middle
 * @param y     its base line, in points from the foot of the page
 */
public record CoverPart(String text, Typeface face, float sizePt, boolean right, float y) {}
