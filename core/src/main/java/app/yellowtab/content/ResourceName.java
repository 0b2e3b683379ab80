package app.yellowtab.content;

import org.apache.pdfbox.cos.COSName;

/**
 * Something that content draws with, by name (ISO 32000-1:2008, 7.8.3).
 *
 * @param kind such as {@code Font} or {@code XObject}
 */
public record ResourceName(COSName kind, COSName name) {}
