/** Cutting batches into their documents. Start at {@link app.yellowtab.desktop.cut.CutStage}. */
@NullMarked
package app.yellowtab.desktop.cut;

import org.jspecify.annotations.NullMarked;
