/**
 * Numbers and lines on the leaves: what they say, where they stand, and setting them. Start at {@link app.yellowtab.mark.Mark}.
 */
@NullMarked
package app.yellowtab.mark;

import org.jspecify.annotations.NullMarked;
