package app.yellowtab.facts;

/** Where a proposed title or date comes from. */
public enum Origin {
    FILE_NAME, MAIL, PROPERTIES, FIRST_PAGE,
    /** The user has typed or confirmed it. */
    USER
}
