/**
 * A batch as it is worked on: what is read of it, how it is cut, what its pieces are called and made into. Start at
 * {@link app.yellowtab.desktop.batch.CutDesk}.
 */
@NullMarked
package app.yellowtab.desktop.batch;

import org.jspecify.annotations.NullMarked;
