/**
 * Running text as word processors mean it: properties, lines with their tabs, sheets. Start at {@link
 * app.yellowtab.convert.flow.Frame}.
 */
@NullMarked
package app.yellowtab.convert.flow;

import org.jspecify.annotations.NullMarked;
