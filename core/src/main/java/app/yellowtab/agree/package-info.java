/**
 * The index that the parties settle between them: read from a table, matched with files, written as a table, and taken back with
 * what the other side has changed. Start at {@link app.yellowtab.agree.AgreedIndex}.
 */
@NullMarked
package app.yellowtab.agree;

import org.jspecify.annotations.NullMarked;
