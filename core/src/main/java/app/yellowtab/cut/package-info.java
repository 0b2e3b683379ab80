/** Cutting batches into pieces: where, and what they are called. Start at {@link app.yellowtab.cut.Cutter}. */
@NullMarked
package app.yellowtab.cut;

import org.jspecify.annotations.NullMarked;
