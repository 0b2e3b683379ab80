/**
 * What is done to a page as data: its look, areas in millimetres, ranges as they are typed, what one sees of it.
 * Start at {@link app.yellowtab.model.page.PageLook}.
 */
@NullMarked
package app.yellowtab.model.page;

import org.jspecify.annotations.NullMarked;
