/** Benchmarks: how fast the core is, always beside a baseline of the same run. Start at {@link app.yellowtab.bench.Main}. */
@NullMarked
package app.yellowtab.bench;

import org.jspecify.annotations.NullMarked;
