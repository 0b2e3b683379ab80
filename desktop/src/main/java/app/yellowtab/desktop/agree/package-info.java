/**
 * The index that the parties settle between them: read in, matched with files, sent out and taken back. Start at {@link
 * app.yellowtab.desktop.agree.AgreeView}.
 */
@NullMarked
package app.yellowtab.desktop.agree;

import org.jspecify.annotations.NullMarked;
