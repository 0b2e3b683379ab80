/**
 * What a PDF is like, found out in one reading: its pages, words at their edges, and what it carries.
 * Start at {@link app.yellowtab.inspect.Inspection}.
 */
@NullMarked
package app.yellowtab.inspect;

import org.jspecify.annotations.NullMarked;
