/**
 * What a bundle holds in its order: sections, documents, and the tray beside them. Start at
 * {@link app.yellowtab.model.contents.Contents}.
 */
@NullMarked
package app.yellowtab.model.contents;

import org.jspecify.annotations.NullMarked;
