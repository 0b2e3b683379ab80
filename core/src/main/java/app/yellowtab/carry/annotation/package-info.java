/**
 * Comments and form fields of a page on their way into the bundle: drawn, kept, or left out. Start at
 * {@link app.yellowtab.carry.annotation.Annotations}.
 */
@NullMarked
package app.yellowtab.carry.annotation;

import org.jspecify.annotations.NullMarked;
