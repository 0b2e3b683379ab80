/** The Rich Text Format. Start at {@link app.yellowtab.convert.rtf.RtfPages}. */
@NullMarked
package app.yellowtab.convert.rtf;

import org.jspecify.annotations.NullMarked;
