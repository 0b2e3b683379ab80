/**
 * Files that were brought in: where they lie, what they are known by, the words of their pages.
 * Start at {@link app.yellowtab.source.SourceFiles}.
 */
@NullMarked
package app.yellowtab.source;

import org.jspecify.annotations.NullMarked;
