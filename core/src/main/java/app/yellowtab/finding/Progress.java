package app.yellowtab.finding;

/** Is told how far a piece of long work is. Called on the thread that does it. */
@FunctionalInterface
public interface Progress {
    /** Hears nothing. */
    Progress NONE = (done, total) -> {};

    /** @param done how many of {@code total} pages are finished */
    void report(int done, int total);
}
