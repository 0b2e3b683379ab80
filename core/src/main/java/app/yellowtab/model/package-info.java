/**
 * The bundle as immutable values. Start at {@link app.yellowtab.model.Bundle}.
 * Every page number in these types counts from 1, as people do.
 */
@NullMarked
package app.yellowtab.model;

import org.jspecify.annotations.NullMarked;
