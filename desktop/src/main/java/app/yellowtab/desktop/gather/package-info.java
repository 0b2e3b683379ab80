/**
 * Bringing files in and getting to know them: all that came as a list, one of them at a glance. Start at {@link
 * app.yellowtab.desktop.gather.GatherStage}.
 */
@NullMarked
package app.yellowtab.desktop.gather;

import org.jspecify.annotations.NullMarked;
