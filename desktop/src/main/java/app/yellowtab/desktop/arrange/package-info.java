/** The stage of arranging: the tray and the index sheet. Start at {@link app.yellowtab.desktop.arrange.ArrangeStage}. */
@NullMarked
package app.yellowtab.desktop.arrange;

import org.jspecify.annotations.NullMarked;
