/** Pictures of pages, for all screens. Start at {@link app.yellowtab.desktop.pages.PagePictures}. */
@NullMarked
package app.yellowtab.desktop.pages;

import org.jspecify.annotations.NullMarked;
