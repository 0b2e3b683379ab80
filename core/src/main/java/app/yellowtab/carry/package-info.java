/**
 * Carrying pages of a source into a bundle: what comes along, what becomes part of the page, and what is left behind.
 * Start at {@link app.yellowtab.carry.PageCarrier}.
 */
@NullMarked
package app.yellowtab.carry;

import org.jspecify.annotations.NullMarked;
