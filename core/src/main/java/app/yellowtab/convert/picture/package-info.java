/** Pictures made pages: {@link app.yellowtab.convert.picture.PicturePages}. */
@NullMarked
package app.yellowtab.convert.picture;

import org.jspecify.annotations.NullMarked;
