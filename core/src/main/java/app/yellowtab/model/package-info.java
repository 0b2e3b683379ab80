/**
 * The bundle as immutable values, and the edits that make a new one from an old one.
 * Start at {@link app.yellowtab.model.Bundle}; edits are in {@link app.yellowtab.model.Edits}.
 * Every page number in these types counts from 1, as people do.
 */
@NullMarked
package app.yellowtab.model;

import org.jspecify.annotations.NullMarked;
