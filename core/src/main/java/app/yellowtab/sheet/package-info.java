/**
 * Setting the pages that we make: cover, index, section titles and dividers. Start at {@link app.yellowtab.sheet.SheetSetter}.
 */
@NullMarked
package app.yellowtab.sheet;

import org.jspecify.annotations.NullMarked;
