/**
 * Pages of sources on their way into a file: read ahead, each source opened once. Start at
 * {@link app.yellowtab.fetch.ReadAhead}.
 */
@NullMarked
package app.yellowtab.fetch;

import org.jspecify.annotations.NullMarked;
