/**
 * Tables of values: spreadsheets of all kinds, each sheet set on pages of its own.
 * Start at {@link app.yellowtab.convert.table.TablePages}.
 */
@NullMarked
package app.yellowtab.convert.table;

import org.jspecify.annotations.NullMarked;
