/** How a batch is cut into its documents, as its user says it. Start at {@link app.yellowtab.model.cut.CutRules}. */
@NullMarked
package app.yellowtab.model.cut;

import org.jspecify.annotations.NullMarked;
