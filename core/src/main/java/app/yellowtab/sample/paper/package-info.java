/**
 * Made-up paper: scans, photographs and slips, as they come from the scanner that rehearses. Start at
 * {@link app.yellowtab.sample.paper.RehearsalScanner}.
 */
@NullMarked
package app.yellowtab.sample.paper;

import org.jspecify.annotations.NullMarked;
