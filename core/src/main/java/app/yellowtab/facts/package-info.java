/**
 * What is known of a file that was brought in, beyond what a plan needs: values only. Start at {@link app.yellowtab.facts.About}.
 */
@NullMarked
package app.yellowtab.facts;

import org.jspecify.annotations.NullMarked;
