/** The stage of producing. Start at {@link app.yellowtab.desktop.produce.ProduceStage}. */
@NullMarked
package app.yellowtab.desktop.produce;

import org.jspecify.annotations.NullMarked;
