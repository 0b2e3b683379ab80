/**
 * Keeping a bundle: its folder with lock and originals, what is known of them, and what is cleared away. Start at {@link
 * app.yellowtab.store.BundleFolder}.
 */
@NullMarked
package app.yellowtab.store;

import org.jspecify.annotations.NullMarked;
