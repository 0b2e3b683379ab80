package app.yellowtab.input;

import java.awt.image.BufferedImage;

/**
 * A page drawn.
 *
 * @param picturesMissing how many pictures on it could not be drawn; what is written into a bundle has them as they came
 */
public record DrawnPage(BufferedImage image, int picturesMissing) {}
