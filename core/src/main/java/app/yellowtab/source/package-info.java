/**
 * Bringing files in: finding, recognising, converting and inspecting them, and reading their names.
 * Start at {@link app.yellowtab.source.Intake}.
 */
@NullMarked
package app.yellowtab.source;

import org.jspecify.annotations.NullMarked;
