/**
 * A bundle as JSON: the open format, its older versions, and fields that are not ours. Start at
 * {@link app.yellowtab.json.BundleJson}.
 */
@NullMarked
package app.yellowtab.json;

import org.jspecify.annotations.NullMarked;
