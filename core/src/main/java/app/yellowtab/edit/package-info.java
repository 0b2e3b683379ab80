/**
 * The edits: each makes a new bundle from an old one. Start at {@link app.yellowtab.edit.Edits}; the moves of the arrow
 * keys are in {@link app.yellowtab.edit.Moves}, undo in {@link app.yellowtab.edit.History}.
 */
@NullMarked
package app.yellowtab.edit;

import org.jspecify.annotations.NullMarked;
