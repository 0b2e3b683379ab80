/** How fast bundles are assembled, beside copying their bytes and merging their pages. */
@NullMarked
package app.yellowtab.bench.assemble;

import org.jspecify.annotations.NullMarked;
