/** What becomes of a bundle on a disk that is full. */
@NullMarked
package app.yellowtab.bench.disk;

import org.jspecify.annotations.NullMarked;
