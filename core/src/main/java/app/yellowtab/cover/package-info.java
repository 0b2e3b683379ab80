/**
 * What stands on our own pages at the front: the cover, front sheets of exhibits, sheets of files that go along. Start at
 * {@link app.yellowtab.cover.CoverSetter}.
 */
@NullMarked
package app.yellowtab.cover;

import org.jspecify.annotations.NullMarked;
