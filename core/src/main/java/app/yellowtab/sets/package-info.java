/**
 * A plan as it is produced: the screen set, the paper set and its binders, an excerpt, one piece of a batch. Start at
 * {@link app.yellowtab.sets.Output}.
 */
@NullMarked
package app.yellowtab.sets;

import org.jspecify.annotations.NullMarked;
