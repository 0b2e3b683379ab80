/**
 * What every view stands on: the open bundle, long work, words, keys and styles. Start at {@link
 * app.yellowtab.desktop.work.Workspace}.
 */
@NullMarked
package app.yellowtab.desktop.work;

import org.jspecify.annotations.NullMarked;
