/** Edits of batches and of what is cut from them. Start at {@link app.yellowtab.edit.cut.CutEdits}. */
@NullMarked
package app.yellowtab.edit.cut;

import org.jspecify.annotations.NullMarked;
