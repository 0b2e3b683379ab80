/** What several commands share: their options, what they end with, and where they speak. */
@NullMarked
package app.yellowtab.cli.option;

import org.jspecify.annotations.NullMarked;
