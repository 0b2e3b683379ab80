package app.yellowtab.recognise;

/**
 * A word that was read in a picture.
 *
 * @param line      its line, counted from 0 in the order in which one reads
 * @param left      in pixels
 * @param top       in pixels
 * @param certainty how sure the reading is, from 0 to 100
 */
public record ReadWord(int line, String text, int left, int top, int width, int height, int certainty) {}
