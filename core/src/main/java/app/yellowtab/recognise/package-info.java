/** What a picture of a page says. Start at {@link app.yellowtab.recognise.CodeReader}. */
@NullMarked
package app.yellowtab.recognise;

import org.jspecify.annotations.NullMarked;
