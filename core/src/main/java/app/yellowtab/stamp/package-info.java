/** The numbers on the leaves. Start at {@link app.yellowtab.stamp.NumberStamp}. */
@NullMarked
package app.yellowtab.stamp;

import org.jspecify.annotations.NullMarked;
