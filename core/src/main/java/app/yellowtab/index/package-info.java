/**
 * How the pages of the index are laid out, which says how many they are. Knows no plan: a plan needs its length. Start at
 * {@link app.yellowtab.index.IndexSetter}.
 */
@NullMarked
package app.yellowtab.index;

import org.jspecify.annotations.NullMarked;
