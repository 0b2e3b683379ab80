package app.yellowtab.model.source;

/** The kinds of file that can be brought in. */
public enum SourceKind {
    PDF, JPEG, PNG, GIF, BMP, WEBP, JP2, TIFF, TEXT, DOCX, DOC, RTF, ODT, XLSX, XLS, ODS, CSV, PPTX, PPT, ODP, HTML, EML, MSG,
    /** A kind that has no pages; a page that names the file stands for it. */
    OTHER;

    /** {@return whether its pages are drawn by us, because the file is no PDF itself} */
    public boolean isConverted() {
        return this != PDF;
    }

    /** {@return whether an office suite could set it} */
    public boolean isOffice() {
        return switch (this) {
            case DOCX, DOC, RTF, ODT, XLSX, XLS, ODS, PPTX, PPT, ODP -> true;
            default -> false;
        };
    }

    public boolean isPicture() {
        return switch (this) {
            case JPEG, PNG, GIF, BMP, WEBP, JP2, TIFF -> true;
            default -> false;
        };
    }

    public boolean isMail() {
        return this == EML || this == MSG;
    }
}
