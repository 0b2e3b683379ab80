/**
 * Pages as a document holds them: runs of neighbours, each page with a name for ever, and what is done to it as data.
 * Start at {@link app.yellowtab.model.run.Run}.
 */
@NullMarked
package app.yellowtab.model.page;

import org.jspecify.annotations.NullMarked;
