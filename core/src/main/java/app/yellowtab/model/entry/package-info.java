/**
 * What is said of an entry of the index wherever it is spoken of: its identity, its date, where the parties stand on it. Start
 * at {@link app.yellowtab.model.entry.EntryId}.
 */
@NullMarked
package app.yellowtab.model.entry;

import org.jspecify.annotations.NullMarked;
