/** What leaves the bundle beside the bundle itself: batches taken apart. Start at {@link app.yellowtab.deliver.PieceFiles}. */
@NullMarked
package app.yellowtab.deliver;

import org.jspecify.annotations.NullMarked;
