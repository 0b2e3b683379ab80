/**
 * Bringing files in: finding and recognising them, reading their names, and what the words of their pages propose. Start at
 * {@link app.yellowtab.intake.Intake}.
 */
@NullMarked
package app.yellowtab.intake;

import org.jspecify.annotations.NullMarked;
