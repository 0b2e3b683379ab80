/** The numbers that pages bear beside the bundle's own. Start at {@link app.yellowtab.model.number.Numbering}. */
@NullMarked
package app.yellowtab.model.number;

import org.jspecify.annotations.NullMarked;
