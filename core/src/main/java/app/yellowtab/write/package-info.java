/**
 * The file that leaves are written into, its outline and labels, and our own leaves in it. Start at
 * {@link app.yellowtab.write.BundleFile}.
 */
@NullMarked
package app.yellowtab.write;

import org.jspecify.annotations.NullMarked;
