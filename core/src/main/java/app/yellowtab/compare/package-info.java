/** What differs between two versions of a file. Start at {@link app.yellowtab.compare.FileComparison}. */
@NullMarked
package app.yellowtab.compare;

import org.jspecify.annotations.NullMarked;
