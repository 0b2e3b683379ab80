/** Finding words in a bundle, and what still says what is redacted. Start at {@link app.yellowtab.find.BundleWords}. */
@NullMarked
package app.yellowtab.find;

import org.jspecify.annotations.NullMarked;
