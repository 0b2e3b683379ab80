/**
 * Numbers and lines on loose files that stay files: put on a copy, found, and taken off again. Start at {@link
 * app.yellowtab.stamp.Stamper}.
 */
@NullMarked
package app.yellowtab.stamp;

import org.jspecify.annotations.NullMarked;
