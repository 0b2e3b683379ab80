/**
 * From files that are no PDF to pages: by an office suite that is installed, or by this program itself.
 * Start at {@link app.yellowtab.convert.Converter}.
 */
@NullMarked
package app.yellowtab.convert;

import org.jspecify.annotations.NullMarked;
