/**
 * What a plan is made of: leaves with their contents and numbers, entries, bookmarks, and where links lead. Start at
 * {@link app.yellowtab.leaf.Leaf}.
 */
@NullMarked
package app.yellowtab.leaf;

import org.jspecify.annotations.NullMarked;
