/**
 * Tables as files: read from spreadsheet, Word table or CSV, and written as one. Start at
 * {@link app.yellowtab.table.TableReader}.
 */
@NullMarked
package app.yellowtab.table;

import org.jspecify.annotations.NullMarked;
