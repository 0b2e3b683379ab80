/** OpenDocument texts and presentations. Start at {@link app.yellowtab.convert.odf.OdtPages}. */
@NullMarked
package app.yellowtab.convert.odf;

import org.jspecify.annotations.NullMarked;
