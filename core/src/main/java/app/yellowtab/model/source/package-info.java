/** The files that were brought in, as the bundle knows them. Start at {@link app.yellowtab.model.source.Source}. */
@NullMarked
package app.yellowtab.model.source;

import org.jspecify.annotations.NullMarked;
