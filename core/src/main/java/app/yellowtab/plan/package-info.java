/**
 * From a bundle to the exact list of its leaves, with every number, link and bookmark. Opens no file.
 * Start at {@link app.yellowtab.plan.Planner}.
 */
@NullMarked
package app.yellowtab.plan;

import org.jspecify.annotations.NullMarked;
