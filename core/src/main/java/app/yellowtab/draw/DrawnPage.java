package app.yellowtab.draw;

import java.awt.image.BufferedImage;

/**
 * A page drawn.
 *
 * @param image    what is seen of it, in RGB
 * @param widthPt  how wide that is, in points
 * @param heightPt how high that is, in points
 * @param picturesMissing how many pictures on it could not be drawn; what is written into a bundle has them as they came
 */
public record DrawnPage(BufferedImage image, float widthPt, float heightPt, int picturesMissing) {}
