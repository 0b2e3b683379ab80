/**
 * Pictures of pages as they will be produced, without their marks, which are set over them. Start at
 * {@link app.yellowtab.picture.PageRenderer}.
 */
@NullMarked
package app.yellowtab.picture;

import org.jspecify.annotations.NullMarked;
