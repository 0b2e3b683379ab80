/**
 * The sheets of a batch: shown as pages and large, put in order, mended. Start at
 * {@link app.yellowtab.desktop.sheets.SheetsView}.
 */
@NullMarked
package app.yellowtab.desktop.sheets;

import org.jspecify.annotations.NullMarked;
