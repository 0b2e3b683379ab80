/**
 * What the program keeps for its user beside the bundles: rules, presets, templates, passwords, where bundles lie. Start at
 * {@link app.yellowtab.keep.Recents}.
 */
@NullMarked
package app.yellowtab.keep;

import org.jspecify.annotations.NullMarked;
