/**
 * The pages of a document as runs: of a source, blank, reserved, and our own; and the lasting key of each page. Start at
 * {@link app.yellowtab.model.run.Run}.
 */
@NullMarked
package app.yellowtab.model.run;

import org.jspecify.annotations.NullMarked;
