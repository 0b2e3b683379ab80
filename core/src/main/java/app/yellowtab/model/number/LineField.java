package app.yellowtab.model.number;

/** What of the bundle can stand in a line at head or foot. */
public enum LineField {
    BUNDLE_TITLE, CASE_NUMBER, PARTIES, COURT, PREPARED_BY,
    /** The letter and the title of the outermost section. */
    SECTION,
    /** The document's number in the index. */
    TAB, DOCUMENT, DOCUMENT_DATE, FILE_NAME,
    /** When the bundle is produced, in a form. */
    PRODUCED,
    /** The number that the page bears. */
    PAGE,
    /** The last number that is printed. */
    PAGES,
    /** The page's place within its document. */
    DOCUMENT_PAGE, DOCUMENT_PAGES
}
