/** The sample matter: made-up files for demonstration, tests and pictures. Start at {@link app.yellowtab.sample.SampleMatter}. */
@NullMarked
package app.yellowtab.sample;

import org.jspecify.annotations.NullMarked;
