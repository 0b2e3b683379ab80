/** What is done with the numbers that pages bear. Start at {@link app.yellowtab.edit.number.NumberEdits}. */
@NullMarked
package app.yellowtab.edit.number;

import org.jspecify.annotations.NullMarked;
