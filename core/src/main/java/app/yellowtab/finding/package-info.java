/** What the user must know of a file, as data with words of its own: {@link app.yellowtab.finding.Finding}. */
@NullMarked
package app.yellowtab.finding;

import org.jspecify.annotations.NullMarked;
