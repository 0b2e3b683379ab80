package app.yellowtab.finding;

/** How much a finding matters, the gravest last. */
public enum Severity {
    /** Nothing is missing or wrong by it. */
    REMARK,
    /** Something is not in the bundle, or not as it should be. */
    LOSS,
    /** What was to be done was not done. */
    OBSTACLE
}
