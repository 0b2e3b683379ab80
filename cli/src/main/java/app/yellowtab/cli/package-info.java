/** {@code yellowtab assemble} and {@code yellowtab build}: the core without a window. Start at {@link app.yellowtab.cli.Main}. */
@NullMarked
package app.yellowtab.cli;

import org.jspecify.annotations.NullMarked;
