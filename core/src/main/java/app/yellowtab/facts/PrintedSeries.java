package app.yellowtab.facts;

/**
 * Page numbers that a file already carries: a running series at the edges of its pages.
 *
 * @param first the number on the first page that has one
 * @param last  the number on the last page that has one
 * @param atFoot whether they stand at the foot rather than at the head
 * @param prefix what stands before each figure, such as "TH-"; empty for nothing
 */
public record PrintedSeries(int first, int last, boolean atFoot, String prefix) {}
