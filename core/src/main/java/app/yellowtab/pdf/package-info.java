/**
 * The PDF ground floor: fonts and their measures, the geometry of turned and cropped pages, and the copying of pages.
 * Lengths are in points (1/72 inch) unless a name says millimetres.
 */
@NullMarked
package app.yellowtab.pdf;

import org.jspecify.annotations.NullMarked;
