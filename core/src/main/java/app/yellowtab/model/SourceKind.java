package app.yellowtab.model;

/** The kinds of file that can become pages. */
public enum SourceKind {
    PDF, JPEG, PNG, GIF, BMP, WEBP, TIFF, TEXT;

    /** {@return whether its pages are drawn by us, because the file is no PDF itself} */
    public boolean isConverted() {
        return this != PDF;
    }
}
