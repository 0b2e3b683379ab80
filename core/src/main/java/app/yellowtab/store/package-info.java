/**
 * Keeping bundles: the bundle folder, its file, and what the program remembers of its user. Start at {@link
 * app.yellowtab.store.BundleFolder}.
 */
@NullMarked
package app.yellowtab.store;

import org.jspecify.annotations.NullMarked;
