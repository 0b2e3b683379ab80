/** Slides: one a page, as drawn. Start at {@link app.yellowtab.convert.slide.SlidePages}. */
@NullMarked
package app.yellowtab.convert.slide;

import org.jspecify.annotations.NullMarked;
