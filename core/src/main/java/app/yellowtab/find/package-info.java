/** Finding words in a bundle. Start at {@link app.yellowtab.find.BundleWords}. */
@NullMarked
package app.yellowtab.find;

import org.jspecify.annotations.NullMarked;
